import { useState } from "react";
import { Link } from "react-router";
import type { Entry } from "../../api/client";
import { useNotebook, usePeople } from "../../api/queries";
import { Liking } from "../../parts/Liking";
import { SearchField } from "../../parts/SearchField";
import { clock, day, FELT, share } from "../../parts/say";
import { Empty, Loading, Trouble } from "../../parts/states";
import { useParam } from "../../parts/useParam";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Swatch } from "../live/colours";
import { History } from "./History";

/** Every brew that came to an end: what was planned, how it went, how it was. */
export default function Notebook() {
  const [params, set] = useParam(["page"]);
  const people = usePeople();
  const [chosen, setChosen] = useState<string[]>([]);
  const words = params.get("words") ?? "";
  const page = Number(params.get("page") ?? 0) || 0;
  const drinker = params.get("who") ?? "";
  const liking = Number(params.get("liking") ?? 0) || 0;
  const recipeId = params.get("recipe") ?? undefined;
  const notes = useNotebook({ words, page, drinker, liking, recipeId });
  return (
    <div className="pt-6">
      <title>{say("notebook.notebookEmberCup")}</title>
      <div className="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-2">
        <div className="flex items-baseline gap-x-5">
          <h1 className="text-3xl">{say("notebook.notebook")}</h1>
          <a
            href="/api/notebook/file?as=csv"
            download
            className="relative underline underline-offset-4 max-sm:reach"
          >
            {say("notebook.asATable")}
          </a>
        </div>
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 max-sm:w-full">
          <label className="flex items-baseline gap-2">
            <span className="text-muted">{say("notebook.ofDrinker")}</span>
            <select
              value={drinker}
              onChange={(e) => set("who", e.target.value)}
              className="min-h-11 border-ink border-b-2 bg-transparent px-1"
            >
              <option value="">{say("notebook.everybody")}</option>
              {people.data?.map((p) => (
                <option key={p.id} value={p.name} className="bg-raised text-ink">
                  {p.name}
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-baseline gap-2">
            <span className="text-muted">{say("notebook.liked")}</span>
            <select
              value={String(liking)}
              onChange={(e) => set("liking", e.target.value === "0" ? "" : e.target.value)}
              className="min-h-11 border-ink border-b-2 bg-transparent px-1"
            >
              <option value="0">{say("notebook.orNot")}</option>
              <option value="3">{say("notebook.wellEnough")}</option>
              <option value="4">{say("notebook.goodOrBetter")}</option>
              <option value="5">{say("notebook.theBest")}</option>
            </select>
          </label>
          <SearchField
            className="max-sm:w-full"
            label={say("notebook.withTheWords")}
            value={words}
            example={say("notebook.bitterLinden")}
            onChange={(w) => set("words", w)}
          />
        </div>
      </div>
      {recipeId && <History recipeId={recipeId} onAll={() => set("recipe", "")} />}
      {chosen.length > 0 && (
        <p className="mt-3 flex flex-wrap items-baseline gap-x-4 border-water border-l-4 pl-3">
          <Said
            of="notebook.chosen"
            count={chosen.length}
            compare={
              chosen.length > 1 && (
                <Link
                  className="font-semibold underline underline-offset-4"
                  to={`/compare?of=${chosen.join(",")}`}
                >
                  {say("notebook.compareThem")}
                </Link>
              )
            }
            none={
              <button
                type="button"
                className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
                onClick={() => setChosen([])}
              >
                {say("notebook.none")}
              </button>
            }
          />
        </p>
      )}
      {notes.isPending && <Loading what={say("notebook.theNotebook")} />}
      {notes.error && <Trouble error={notes.error} again={() => notes.refetch()} />}
      {notes.data?.entries.length === 0 && (
        <Empty title={words ? say("notebook.nothingWithTheseWords") : say("notebook.nothingNotedYet")}>
          {words ? say("notebook.tryFewerOrOtherWords") : say("notebook.aBrewStandsHereOnce")}
        </Empty>
      )}
      {notes.data && notes.data.entries.length > 0 && (
        <>
          <ul className="mt-4 border-hairline border-t">
            {notes.data.entries.map((e) => (
              <Line
                key={e.brewId}
                entry={e}
                chosen={chosen.includes(e.brewId)}
                compare={chosen.length > 1 && chosen.at(-1) === e.brewId ? chosen : undefined}
                onChoose={(on) =>
                  setChosen(on ? [...chosen, e.brewId].slice(-3) : chosen.filter((c) => c !== e.brewId))
                }
              />
            ))}
          </ul>
          <div className="mt-4 flex justify-between">
            {page > 0 ? (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => set("page", String(page - 1))}
              >
                {say("notebook.newer")}
              </button>
            ) : (
              <span />
            )}
            {notes.data.more && (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => set("page", String(page + 1))}
              >
                {say("notebook.older")}
              </button>
            )}
          </div>
        </>
      )}
    </div>
  );
}

function Line({
  entry: e,
  chosen,
  compare,
  onChoose,
}: {
  entry: Entry;
  chosen: boolean;
  /** All that are chosen, at the one that was chosen last. */
  compare?: string[];
  onChoose: (on: boolean) => void;
}) {
  return (
    <li className="flex items-start gap-3 border-hairline border-b">
      <label className="grid min-h-14 w-7 shrink-0 place-items-center">
        <span className="sr-only">
          <Said of="notebook.compare" name={e.name} day={day(e.brewedAt)} />
        </span>
        <input
          type="checkbox"
          className="size-4"
          checked={chosen}
          onChange={(x) => onChoose(x.target.checked)}
        />
      </label>
      {compare && (
        <Link
          className="grid min-h-14 shrink-0 place-items-center border-water border-l-4 px-3 font-semibold underline underline-offset-4"
          to={`/compare?of=${compare.join(",")}`}
        >
          <Said of="notebook.compareCount" count={compare.length} />
        </Link>
      )}
      <Link
        to={`/brew/${e.brewId}`}
        className="grid min-w-0 flex-1 gap-x-8 gap-y-1 py-3 hover:bg-strip md:grid-cols-[minmax(0,1.1fr)_250px_minmax(0,1.2fr)] md:px-2"
      >
        <span>
          <span className="block font-display font-semibold text-xl leading-tight [font-stretch:82%]">
            {e.name}
          </span>
          <span className="block text-muted text-sm">
            {say("notebook.brewedWhen", {
              day: day(e.brewedAt),
              clock: clock(e.brewedAt),
              cups: e.cups,
              drinker: e.drinkerName,
              givenUp: e.phase === "abandoned",
            })}
          </span>
        </span>
        <span className="flex items-center gap-4">
          <Strengths entry={e} />
          <span className="text-sm">
            <span className="block">
              <Said
                of="notebook.strengthPlannedWent"
                planned={share(e.plannedStrength)}
                went={share(e.predictedStrength)}
              />
            </span>
            <span className="block text-muted">
              {e.felt == null
                ? say("notebook.notJudged")
                : say("notebook.felt", { label: FELT.find((f) => f.value === e.felt)?.label })}
            </span>
          </span>
        </span>
        <span className="text-sm">
          {e.liking != null && <Liking of={e.liking} className="mr-2" />}
          {e.colour && <Swatch colour={e.colour} />}
          {e.taste && <span>“{e.taste}”</span>}
          {e.change && (
            <span className="block text-amber-text">
              <Said of="notebook.nextTime" change={e.change} />
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}

/** Planned strength as a mark, the brew as it went as a bar, on one scale from 0 to 2. */
function Strengths({ entry }: { entry: Entry }) {
  const x = (s: number) => Math.min(90, s * 45);
  return (
    <svg width={92} height={22} aria-hidden>
      <line x1={0} x2={91} y1={18} y2={18} stroke="var(--hairline)" />
      <rect x={0} y={8} width={x(entry.predictedStrength)} height={7} fill="var(--herb)" />
      <line
        x1={x(entry.plannedStrength)}
        x2={x(entry.plannedStrength)}
        y1={3}
        y2={20}
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </svg>
  );
}
