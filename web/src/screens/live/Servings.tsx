import { Link } from "react-router";
import type { BrewResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { present, presentMs } from "../../api/present";
import { Glossed } from "../../parts/Glossed";
import { millilitres, moment } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { eventWords, lastSaid } from "./Hands";

const OF_THE_REST = ["poured", "kept", "emptied", "marc-kept", "marc-gone"];

/** How long what is left is good, and by when it is drunk. */
function goodFor(brew: BrewResponse): string {
  const keeps = brew.plan.keeps;
  if (!keeps) return "";
  return brew.goodUntil
    ? `${keeps.text} ${say("live.thatIsBy", { when: moment(brew.goodUntil, present()) })}`
    : keeps.text;
}

/** What was poured for somebody to drink, and what is left of it: drunk the same day, or kept in a jar. */
export function Servings({ brew }: { brew: BrewResponse }) {
  const last = lastSaid(brew);
  const tincture = brew.request.recipe?.menstruum !== undefined;
  const old = brew.inPotUntil != null && Date.parse(brew.inPotUntil) < presentMs();
  if (old && !brew.jar) return null;
  const some = brew.servingMl > 0;
  const cup = Math.round(brew.servingMl / 5) * 5;
  return (
    <section aria-label={say("live.servings")} className="mt-4">
      <p>
        <Glossed
          text={`${say("live.whatIsLeft", {
            poured: brew.pouredMl > 0 && millilitres(brew.pouredMl),
            left: some && millilitres(brew.leftMl),
            where: brew.jar ? (tincture ? "bottle" : "jar") : brew.pouredMl > 0 ? "left" : "pot",
          })} ${some ? goodFor(brew) : ""}`.trim()}
        />{" "}
        {some && brew.jar && (
          <Link to={`/keeping?jar=${brew.id}`} className="font-semibold underline underline-offset-4">
            {tincture ? say("live.aDoseOfIt") : say("live.aCupOutOfThe")}
          </Link>
        )}
      </p>
      {brew.whyNotKept && !brew.jar && <p className="mt-1 text-muted">{brew.whyNotKept}</p>}
      {brew.marc && (
        <p className="mt-1">
          <Said of="live.theSpentHerbsStandIn" when={moment(brew.marc.until, present())} />
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        {some && !brew.jar && !tincture && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "poured", value: cup })}
          >
            <Said of="live.pour" amount={millilitres(cup)} />
          </button>
        )}
        {brew.mayKeep && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "kept" })}
          >
            {tincture ? say("live.intoItsBottle") : say("live.keepTheRestInA")}
          </button>
        )}
        {brew.mayKeepMarc && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "marc-kept" })}
          >
            {say("live.keepTheSpentHerbs")}
          </button>
        )}
        {last && OF_THE_REST.includes(last.kind) && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-hairline px-4"
            onClick={() => confirm(brew.id, { kind: "undone", event: last.id })}
          >
            <Said of="live.undo" eventWords={eventWords(brew, last)} />
          </button>
        )}
      </p>
    </section>
  );
}
