import type { BrewResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { presentMs } from "../../api/present";
import { day, millilitres } from "../../parts/say";
import { eventWords, lastSaid } from "./Hands";

/** Less than this is what stays on the wall of a jug, mL. */
const NOTHING_ML = 15;
/** A jar keeps in the fridge for about three days (common practice, no source), ms. */
const KEEPS_MS = 3 * 24 * 3600_000;

/** What was poured for somebody to drink, and what is left of it. */
export function Servings({ brew }: { brew: BrewResponse }) {
  const cup = Math.round(Math.min(brew.plan.cupMl, brew.leftMl) / 5) * 5;
  const last = lastSaid(brew);
  const usedBy = new Date(brew.readyAt ?? brew.serverNow).getTime() + KEEPS_MS;
  if (usedBy < presentMs()) return null;
  return (
    <section aria-label="Servings" className="mt-4">
      <p>
        {brew.pouredMl > 0 ? `${millilitres(brew.pouredMl)} poured, ` : ""}
        {brew.leftMl >= NOTHING_ML
          ? `${millilitres(brew.leftMl)} ${brew.pouredMl > 0 ? "left" : "to pour"}. What is not drunk now goes into the fridge in a closed jar, dated, and is drunk by ${day(new Date(usedBy).toISOString())}.`
          : "nothing left."}
      </p>
      <p className="mt-2 flex flex-wrap gap-2">
        {brew.leftMl >= NOTHING_ML && (
          <button
            type="button"
            className="min-h-11 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "poured", value: cup })}
          >
            Pour {millilitres(cup)}
          </button>
        )}
        {last?.kind === "poured" && (
          <button
            type="button"
            className="min-h-11 rounded-one border border-hairline px-4"
            onClick={() => confirm(brew.id, { kind: "undone", event: last.id })}
          >
            Undo {eventWords(brew, last)}
          </button>
        )}
      </p>
    </section>
  );
}
