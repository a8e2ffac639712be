import { Link } from "react-router";
import type { BrewResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { present, presentMs } from "../../api/present";
import { Glossed } from "../../parts/Glossed";
import { millilitres, moment } from "../../parts/say";
import { eventWords, lastSaid } from "./Hands";

const OF_THE_REST = ["poured", "kept", "emptied", "marc-kept", "marc-gone"];

/** How long what is left is good, and by when it is drunk. */
function goodFor(brew: BrewResponse): string {
  const keeps = brew.plan.keeps;
  if (!keeps) return "";
  return brew.goodUntil
    ? ` ${keeps.text} That is by ${moment(brew.goodUntil, present())}.`
    : ` ${keeps.text}`;
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
    <section aria-label="Servings" className="mt-4">
      <p>
        {brew.pouredMl > 0 ? `${millilitres(brew.pouredMl)} poured, ` : ""}
        {some ? (
          <Glossed
            text={`${millilitres(brew.leftMl)} ${brew.jar ? (tincture ? "in its bottle" : "in a jar") : brew.pouredMl > 0 ? "left" : "to pour"}.${goodFor(brew)}`}
          />
        ) : (
          "nothing left."
        )}{" "}
        {some && brew.jar && (
          <Link to={`/keeping?jar=${brew.id}`} className="font-semibold underline underline-offset-4">
            {tincture ? "A dose of it" : "A cup out of the jar"}
          </Link>
        )}
      </p>
      {brew.marc && (
        <p className="mt-1">
          The spent herbs stand in the fridge, to be brewed once more by {moment(brew.marc.until, present())}.
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        {some && !brew.jar && !tincture && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "poured", value: cup })}
          >
            Pour {millilitres(cup)}
          </button>
        )}
        {brew.mayKeep && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "kept" })}
          >
            {tincture ? "Into its bottle" : "Keep the rest in a jar"}
          </button>
        )}
        {brew.mayKeepMarc && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "marc-kept" })}
          >
            Keep the spent herbs
          </button>
        )}
        {last && OF_THE_REST.includes(last.kind) && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-hairline px-4"
            onClick={() => confirm(brew.id, { kind: "undone", event: last.id })}
          >
            Undo {eventWords(brew, last)}
          </button>
        )}
      </p>
    </section>
  );
}
