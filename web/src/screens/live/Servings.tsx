import type { BrewResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { presentMs } from "../../api/present";
import { Glossed } from "../../parts/Glossed";
import { clock, day, millilitres } from "../../parts/say";
import { eventWords, lastSaid } from "./Hands";

/** What is not kept is drunk the same day, h. */
const SAME_DAY_H = 24;
const HOUR_MS = 3600_000;
/** Less than this is what stays on the wall of a jug, mL. */
const NOTHING_ML = 15;
/** What was poured for somebody to drink, and what is left of it. */
export function Servings({ brew }: { brew: BrewResponse }) {
  const cup = Math.round(Math.min(brew.plan.cupMl, brew.leftMl) / 5) * 5;
  const last = lastSaid(brew);
  const keeps = brew.plan.keeps;
  const ready = new Date(brew.readyAt ?? brew.serverNow).getTime();
  const usedBy = ready + (keeps?.hours ?? 0) * HOUR_MS;
  if (ready + Math.max(keeps?.mostHours ?? 0, SAME_DAY_H) * HOUR_MS < presentMs()) return null;
  return (
    <section aria-label="Servings" className="mt-4">
      <p>
        {brew.pouredMl > 0 ? `${millilitres(brew.pouredMl)} poured, ` : ""}
        {brew.leftMl >= NOTHING_ML ? (
          <Glossed
            text={`${millilitres(brew.leftMl)} ${brew.pouredMl > 0 ? "left" : "to pour"}. ${keeps ? `${keeps.text}${keeps.hours > 0 ? ` That is by ${day(new Date(usedBy).toISOString())}, ${clock(new Date(usedBy))}; write it on the jar.` : ""}` : ""}`}
          />
        ) : (
          "nothing left."
        )}
      </p>
      <p className="mt-2 flex flex-wrap gap-2">
        {brew.leftMl >= NOTHING_ML && (
          <button
            type="button"
            className="min-h-14 rounded-one border border-ink px-4"
            onClick={() => confirm(brew.id, { kind: "poured", value: cup })}
          >
            Pour {millilitres(cup)}
          </button>
        )}
        {last?.kind === "poured" && (
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
