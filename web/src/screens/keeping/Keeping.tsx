import { useCallback, useState } from "react";
import { useSearchParams } from "react-router";
import { usePutTin, useRemoveTin } from "../../api/changes";
import type { Tin } from "../../api/client";
import { confirm } from "../../api/outbox";
import { useKeeping, useShelf } from "../../api/queries";
import { SearchField } from "../../parts/SearchField";
import { Empty, Loading, Trouble } from "../../parts/states";
import { Undo } from "../../parts/Undo";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import type { OnDone } from "./Cup";
import { useDrawn } from "./drawn";
import { Fill } from "./Fill";
import { Fridge } from "./Jars";
import { Dark } from "./LongJars";
import { Tables } from "./Tables";
import { Line } from "./Tins";
import { asItIs, type Changed, isFresh, ordered, SORTS, type Sort } from "./things";

/** A long shelf is drawn as far as somebody reads it; what is looked for is found in all of it. */
const SHOWN = 40;

/** What is kept in the house, and for how long: jars in the fridge, long jars in the dark, fresh things, tins on the shelf. */
export default function Keeping() {
  const shelf = useShelf();
  const keeping = useKeeping();
  const labelled = useSearchParams()[0].get("jar");
  const [said, setSaid] = useState<{ brewId: string; event: string; words: string }>();
  // Both at once: the fridge stands over the shelf, and would push it down.
  if (shelf.isPending || keeping.isPending) return <Loading what={say("keeping.whatIsKept")} />;
  if (shelf.error) return <Trouble error={shelf.error} again={() => shelf.refetch()} />;
  const onDone: OnDone = (brewId, event, words) => setSaid({ brewId, event, words });
  const kept = keeping.data;
  const now = new Date(kept?.serverNow ?? 0);
  return (
    <div className="grid gap-x-14 gap-y-10 pt-6 lg:grid-cols-[minmax(0,1fr)_320px]">
      <title>{say("keeping.keepingEmberCup")}</title>
      <div className="lg:col-span-2">
        {kept ? (
          <>
            <Fridge
              jars={kept.jars.filter((j) => !j.drops)}
              marcs={kept.marcs}
              gone={kept.jars.some((j) => j.id === labelled) ? null : labelled}
              now={now}
              onDone={onDone}
            />
            {said && (
              <Undo
                words={said.words}
                onUndo={() => {
                  confirm(said.brewId, { kind: "undone", event: said.event });
                  setSaid(undefined);
                }}
              />
            )}
            <Dark jars={kept.standing} bottles={kept.jars.filter((j) => j.drops)} now={now} onDone={onDone} />
          </>
        ) : (
          <Trouble error={keeping.error} again={() => keeping.refetch()} />
        )}
      </div>
      <OnTheShelf tins={shelf.data}>
        <Tables tins={shelf.data} jars={kept?.jars ?? []} />
      </OnTheShelf>
      <Fill />
    </div>
  );
}

/** Herbs in the house: what is fresh, with its short life, and the tins. */
function OnTheShelf({ tins: all, children }: { tins: Tin[]; children: React.ReactNode }) {
  const put = usePutTin();
  const remove = useRemoveTin();
  const [changed, setChanged] = useState<Changed>();
  const [words, setWords] = useState("");
  const [sort, setSort] = useState<Sort>("first");
  // The square on a label leads to a tin, wherever it stands.
  const labelled = useSearchParams()[0].get("tin");
  const [whole, setWhole] = useState(labelled !== null);
  const drawn = useDrawn(whole ? all.length : SHOWN);
  const found = ordered(all, words, sort);
  const fresh = found.filter(isFresh);
  const tins = found.filter((t) => !isFresh(t));
  const onShelf = all.filter((t) => !isFresh(t));
  const stale = onShelf.filter((t) => t.stale);
  const fill = useCallback(
    (tin: Tin) =>
      put.mutate(
        { ...asItIs(tin), filledOn: undefined, grams: tin.grams ?? undefined },
        { onSuccess: () => setChanged({ was: tin, words: say("keeping.filledAnewToday") }) },
      ),
    [put.mutate],
  );
  const gone = useCallback(
    (tin: Tin) =>
      remove.mutate(tin.id, {
        onSuccess: () => setChanged({ was: tin, words: say("keeping.takenOffTheShelf") }),
      }),
    [remove.mutate],
  );
  const back = () => {
    if (!changed) return;
    const { grams, left } = changed.was;
    put.mutate(
      { ...asItIs(changed.was), grams: left?.grams ?? grams ?? undefined },
      { onSuccess: () => setChanged(undefined) },
    );
  };
  const line = (t: Tin) => (
    <Line key={t.id} tin={t} labelled={t.id === labelled} onFill={fill} onGone={gone} />
  );
  return (
    <div>
      {changed && <Undo words={`${changed.was.common} ${changed.words}.`} onUndo={back} />}
      {fresh.length > 0 && (
        <section aria-labelledby="fresh" className="mb-8">
          <h2 id="fresh" className="text-3xl">
            {say("keeping.fresh")}
          </h2>
          <p className="mt-1 text-muted">{say("keeping.whatIsFreshHasA")}</p>
          <ul className="mt-3 border-hairline border-t">{fresh.slice(0, drawn).map(line)}</ul>
        </section>
      )}
      <section aria-labelledby="tins">
        <h2 id="tins" className="text-3xl">
          {say("keeping.onTheShelf")}
        </h2>
        <p className="mt-1 text-muted">
          <Said
            of="keeping.aStaleHerbGivesLess"
            tins={say("common.tins", { n: onShelf.length })}
            stale={stale.length || false}
          />
        </p>
        {all.length === 0 && (
          <Empty title={say("keeping.noTinsYet")}>{say("keeping.putTheFirstOneOn")}</Empty>
        )}
        {children}
        {all.length > 6 && (
          <div className="mt-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
            <SearchField
              label={say("keeping.withTheWords")}
              example={say("keeping.sageAllotment")}
              value={words}
              onChange={setWords}
            />
            <label className="flex items-baseline gap-2">
              <span className="text-muted">{say("keeping.first")}</span>
              <select
                value={sort}
                onChange={(e) => setSort(e.target.value as Sort)}
                className="min-h-11 border-ink border-b-2 bg-transparent px-1"
              >
                {SORTS.map((o) => (
                  <option key={o.value} value={o.value} className="bg-raised text-ink">
                    {o.label}
                  </option>
                ))}
              </select>
            </label>
          </div>
        )}
        <ul className="mt-3 border-hairline border-t">{tins.slice(0, drawn).map(line)}</ul>
        {!whole && tins.length > SHOWN && (
          <button
            type="button"
            className="mt-3 min-h-11 underline underline-offset-4"
            onClick={() => setWhole(true)}
          >
            <Said of="keeping.theOther" count={tins.length - SHOWN} />
          </button>
        )}
      </section>
    </div>
  );
}
