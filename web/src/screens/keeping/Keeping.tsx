import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { useChangeTin, usePutTin, useRemoveTin } from "../../api/changes";
import type { Tin, TinRequest } from "../../api/client";
import { useKeeping, useShelf } from "../../api/queries";
import { TinShape } from "../../drawings/TinShape";
import { NumberField, Primary, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { SearchField } from "../../parts/SearchField";
import { fullDate, grams } from "../../parts/say";
import { Empty, Loading, Trouble } from "../../parts/states";
import { Undo } from "../../parts/Undo";
import { NumberWord, useInPlace } from "../household/inPlace";
import { FORMS } from "../recipe/doc";
import { Jars } from "./Jars";
import { Tables } from "./Tables";

/** What is kept in the house, and for how long: jars in the fridge, tins on the shelf. */
export default function Keeping() {
  const shelf = useShelf();
  const keeping = useKeeping();
  const put = usePutTin();
  const [changed, setChanged] = useState<Changed>();
  const [words, setWords] = useState("");
  const [sort, setSort] = useState<Sort>("first");
  // The square on a label leads to a tin, wherever it stands.
  const labelled = useSearchParams()[0].get("tin");
  const [all, setAll] = useState(labelled !== null);
  if (shelf.isPending) return <Loading what="the shelf" />;
  if (shelf.error) return <Trouble error={shelf.error} again={() => shelf.refetch()} />;
  const stale = shelf.data.filter((t) => t.stale);
  const tins = ordered(shelf.data, words, sort);
  const back = () => {
    if (!changed) return;
    const { herb, form, grams: g, filledOn, note } = changed.was;
    put.mutate(
      { herb, form: form as "dried", grams: g ?? undefined, filledOn, note },
      { onSuccess: () => setChanged(undefined) },
    );
  };
  return (
    <div className="grid gap-x-14 gap-y-10 pt-6 lg:grid-cols-[minmax(0,1fr)_320px]">
      <title>Keeping · Ember Cup</title>
      <div className="lg:col-span-2">
        {keeping.data ? (
          <Jars jars={keeping.data.jars} now={new Date(keeping.data.serverNow)} />
        ) : keeping.error ? (
          <Trouble error={keeping.error} again={() => keeping.refetch()} />
        ) : (
          <Loading what="the fridge" />
        )}
      </div>
      <section aria-labelledby="tins">
        <h2 id="tins" className="text-3xl">
          On the shelf
        </h2>
        <p className="mt-1 text-muted">
          {shelf.data.length} tins{stale.length > 0 && `, ${stale.length} past their time`}. A stale herb
          gives less: smell it, and fill it anew.
        </p>
        {shelf.data.length === 0 && <Empty title="No tins yet">Put the first one on the shelf here.</Empty>}
        {changed && <Undo words={`${changed.was.common} ${changed.words}.`} onUndo={back} />}
        <Tables tins={shelf.data} jars={keeping.data?.jars ?? []} />
        {shelf.data.length > 6 && (
          <div className="mt-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
            <SearchField label="with the words" example="sage, allotment" value={words} onChange={setWords} />
            <label className="flex items-baseline gap-2">
              <span className="text-muted">first</span>
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
        <ul className="mt-3 border-hairline border-t">
          {tins.slice(0, all ? undefined : SHOWN).map((t) => (
            <Line
              key={t.id}
              tin={t}
              labelled={t.id === labelled}
              onChanged={(words) => setChanged({ was: t, words })}
            />
          ))}
        </ul>
        {!all && tins.length > SHOWN && (
          <button
            type="button"
            className="mt-3 min-h-11 underline underline-offset-4"
            onClick={() => setAll(true)}
          >
            The other {tins.length - SHOWN}
          </button>
        )}
      </section>
      <Fill />
    </div>
  );
}

/** A long shelf is drawn as far as a screen shows it; what is looked for is found in all of it. */
const SHOWN = 40;

/** What was done to a tin last, and how it was before. */
interface Changed {
  was: Tin;
  words: string;
}

type Sort = "first" | "name" | "left";
const SORTS: { value: Sort; label: string }[] = [
  { value: "first", label: "what is to be used first" },
  { value: "name", label: "by name" },
  { value: "left", label: "what runs out first" },
];

const share = (t: Tin) => (t.left && t.grams ? t.left.grams / t.grams : null);

/** Tins that a word fits, in an order. */
function ordered(tins: Tin[], words: string, sort: Sort): Tin[] {
  const wanted = words.trim().toLowerCase();
  const by: Record<Sort, (a: Tin, b: Tin) => number> = {
    first: (a, b) => (a.bestBefore ?? "9999").localeCompare(b.bestBefore ?? "9999"),
    name: (a, b) => a.common.localeCompare(b.common),
    left: (a, b) => (share(a) ?? 2) - (share(b) ?? 2),
  };
  return tins
    .filter((t) => `${t.common} ${t.form} ${t.note}`.toLowerCase().includes(wanted))
    .sort((a, b) => by[sort](a, b) || a.common.localeCompare(b.common));
}

/** "about 44 g, 42 to 46": what was brewed since it was weighed is taken out, and a spoon is no scale. */
function leftSaid(t: Tin): string {
  if (!t.left) return "";
  const { grams: left, lowG, highG, brews } = t.left;
  if (brews === 0) return grams(left);
  return highG - lowG < 0.5 ? grams(left) : `about ${grams(left)}`;
}

function Line({
  tin,
  labelled,
  onChanged,
}: {
  tin: Tin;
  /** Whether it is the one whose label was read. */
  labelled: boolean;
  onChanged: (words: string) => void;
}) {
  const line = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (labelled) line.current?.scrollIntoView({ block: "center" });
  }, [labelled]);
  const put = usePutTin();
  const change = useChangeTin();
  const remove = useRemoveTin();
  const it = useInPlace<Tin, TinRequest>(
    tin,
    { ...change, mutateAsync: (draft) => change.mutateAsync({ id: tin.id, draft }) },
    (t, part) => ({
      version: t.version,
      herb: t.herb,
      form: t.form as "dried",
      filledOn: t.filledOn,
      grams: t.grams ?? undefined,
      note: t.note,
      ...part,
    }),
  );
  return (
    <li
      ref={line}
      className={`grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-4 border-hairline border-b py-2 sm:grid-cols-[auto_minmax(0,1.4fr)_7rem_minmax(0,1fr)_auto] ${labelled ? "bg-strip outline-2 outline-ink" : ""}`}
    >
      <TinShape share={share(tin)} stale={tin.stale} />
      <span>
        <Link
          to={`/herbs/${tin.herb}`}
          className="relative font-semibold underline-offset-4 hover:underline max-sm:reach"
        >
          {tin.common}
        </Link>
        <span className="block text-muted text-sm">
          {tin.form}
          {tin.note && `, ${tin.note}`}
        </span>
        {it.trouble}
      </span>
      <span className="text-right">
        <NumberWord
          label={`How much is in ${tin.common}`}
          shown={leftSaid(tin) || "weigh it"}
          value={tin.left?.grams}
          of="mass"
          field="grams"
          wrong={it.wrong}
          mayBeMissing
          onKeep={(g, close) => it.keep({ grams: g }, close)}
        />
        {tin.left && tin.left.brews > 0 && (
          <span className="block text-muted text-sm">
            {tin.left.brews === 1 ? "one brew" : `${tin.left.brews} brews`} since {grams(tin.grams ?? 0)}
          </span>
        )}
      </span>
      <span
        className={`text-sm max-sm:col-span-2 max-sm:col-start-2 ${tin.stale ? "font-semibold text-amber-text" : "text-muted"}`}
      >
        {tin.bestBefore
          ? `${tin.stale ? "past its time since" : "good until"} ${fullDate(tin.bestBefore)}`
          : "keeps"}
        {tin.stale && (
          <Link
            to={`/choose?words=${encodeURIComponent(tin.common)}`}
            className="ml-2 underline underline-offset-4"
          >
            use it up
          </Link>
        )}
      </span>
      <span className="flex gap-4 text-sm max-sm:col-span-2 max-sm:col-start-2">
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
          aria-label={`filled anew today: ${tin.common}`}
          onClick={() =>
            put.mutate(
              {
                herb: tin.herb,
                form: tin.form as "dried",
                grams: tin.grams ?? undefined,
                note: tin.note,
              },
              { onSuccess: () => onChanged("filled anew today") },
            )
          }
        >
          filled anew
        </button>
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
          aria-label={`gone: take ${tin.common} off the shelf`}
          onClick={() => remove.mutate(tin.id, { onSuccess: () => onChanged("taken off the shelf") })}
        >
          gone
        </button>
      </span>
    </li>
  );
}

function Fill() {
  const [herb, setHerb] = useState("");
  const [form, setForm] = useState("dried");
  const [grams, setGrams] = useState<number | undefined>();
  const [filledOn, setFilledOn] = useState("");
  const [note, setNote] = useState("");
  const put = usePutTin();
  return (
    <form
      aria-labelledby="fill"
      onSubmit={(e) => {
        e.preventDefault();
        const emptied = () => {
          setHerb("");
          setGrams(undefined);
          setNote("");
        };
        put.mutate(
          { herb, form: form as "dried", grams, filledOn: filledOn || undefined, note },
          { onSuccess: emptied },
        );
      }}
    >
      <h2 id="fill" className="text-2xl">
        Put a tin on it
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-4">
        <div className="col-span-2">
          <HerbPicker value={herb} onPick={setHerb} label="Herb in the tin" />
        </div>
        <SelectField label="Form" value={form} options={FORMS} onChange={setForm} />
        <NumberField label="How much, if known" unit="g" value={grams} onChange={setGrams} />
        <div className="col-span-2">
          <label className="block text-muted text-sm">
            Filled on (today when left open)
            <input
              type="date"
              value={filledOn}
              onChange={(e) => setFilledOn(e.target.value)}
              className="min-h-11 w-full border-ink border-b-2 bg-transparent px-1 text-ink"
            />
          </label>
        </div>
        <TextField className="col-span-2" label="Where from" most={200} value={note} onChange={setNote} />
      </div>
      {put.error && <Trouble error={put.error} />}
      <div className="mt-4">
        <Primary busy={!herb}>Put it on the shelf</Primary>
      </div>
    </form>
  );
}
