import type { BrewSheet, EventDoc } from "../../api/client";
import { confirm } from "../../api/outbox";
import { useKey } from "../../parts/Keys";

type Turn = NonNullable<EventDoc["turn"]>;

const FLAMES = ["off", "low", "medium", "high"] as const;
/** Steps that go on by themselves and may be ended by nose or eye. */
const RIPEN = ["boil", "simmer", "reduce", "steep", "macerate", "rest"];

const button =
  "min-h-11 rounded-one border border-hairline px-4 aria-pressed:border-ink aria-pressed:font-semibold";

/** What a hand does beside the plan: lid, flame, and a nose that knows better than the clock. */
export function Hands({ brew }: { brew: BrewSheet }) {
  const step = brew.plan.steps.find((s) => s.key === brew.nowKey);
  const fire = brew.fire;
  const pot = step !== undefined && step.stage >= 0 && !step.handsOn && !!fire && !fire.kettle;
  const ripens = step !== undefined && RIPEN.includes(step.kind) && !step.key.endsWith(".heat");
  const onFlame = pot && (step.powerW > 0 || fire.flame !== "off");
  const turn = (t: Turn) => confirm(brew.id, { kind: "turned", turn: t });
  const lid = () => pot && turn(fire.lid ? "lid-off" : "lid-on");
  const smells = () => ripens && confirm(brew.id, { kind: "step-done", step: step.key, sign: "smell" });
  useKey("l", lid);
  useKey("r", smells);
  if (!pot) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <button type="button" className={button} onClick={lid}>
        {fire.lid ? "Lid off" : "Lid on"}
      </button>
      {ripens && (
        <>
          <button type="button" className={button} onClick={smells}>
            Smells ready
          </button>
          <button
            type="button"
            className={button}
            onClick={() => confirm(brew.id, { kind: "step-done", step: step.key, sign: "colour" })}
          >
            Looks ready
          </button>
        </>
      )}
      {onFlame && (
        <div role="group" aria-label="Flame" className="flex items-center">
          <span className="mr-2 text-muted">Flame</span>
          {FLAMES.map((f) => (
            <button
              key={f}
              type="button"
              aria-pressed={fire.flame === f}
              className="min-h-11 border-transparent border-b-[3px] px-2.5 aria-pressed:border-ember aria-pressed:font-semibold"
              onClick={() => fire.flame !== f && turn(`flame-${f}`)}
            >
              {f}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

const WORDS: Record<string, string> = {
  "lid-on": "lid on",
  "lid-off": "lid off",
  "flame-off": "flame off",
  "flame-low": "low flame",
  "flame-medium": "medium flame",
  "flame-high": "high flame",
};

/** What an event was, as its undo says it. */
export function eventWords(brew: BrewSheet, event: BrewSheet["events"][number]): string {
  if (event.kind === "step-done") {
    return `“${brew.plan.steps.find((s) => s.key === event.step)?.confirm ?? "the last step"}”`;
  }
  if (event.kind === "turned") return `“${WORDS[event.turn ?? ""] ?? "turned"}”`;
  if (event.kind === "poured") return `the ${event.text} poured`;
  return `the reading, ${event.text}`;
}

const UNDOABLE = ["step-done", "turned", "measured", "poured"];

/** The last thing said of a brew that can be taken back. */
export function lastSaid(brew: BrewSheet) {
  return [...brew.events].reverse().find((e) => UNDOABLE.includes(e.kind));
}
