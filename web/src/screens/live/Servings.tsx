import type { BrewSheet } from "../../api/client";
import { confirm } from "../../api/outbox";
import { millilitres } from "../../parts/say";
import { eventWords, lastSaid } from "./Hands";

/** Less than this is what stays on the wall of a jug, mL. */
const NOTHING_ML = 15;

/** What was poured for somebody to drink, and what is left of it. */
export function Servings({ brew }: { brew: BrewSheet }) {
  const cup = Math.round(Math.min(brew.plan.cupMl, brew.leftMl) / 5) * 5;
  const last = lastSaid(brew);
  return (
    <section aria-label="Servings" className="mt-4">
      <p>
        {brew.pouredMl > 0 ? `${millilitres(brew.pouredMl)} poured, ` : ""}
        {brew.leftMl >= NOTHING_ML
          ? `${millilitres(brew.leftMl)} ${brew.pouredMl > 0 ? "left" : "to pour"}. What is not drunk today: into the fridge, in a closed jar with today’s date, at most three days.`
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
