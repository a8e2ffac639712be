import type { BrewResponse, TurnedRequest } from "../../api/client";
import { confirm } from "../../api/outbox";
import { ofStage, powerOf, ripens } from "../../api/steps";
import { useKey } from "../../parts/Keys";
import { millilitres } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

type Turn = NonNullable<TurnedRequest["turn"]>;

const FLAMES = ["off", "low", "medium", "high"] as const;

const button =
  "min-h-14 rounded-one border border-hairline px-4 aria-pressed:border-ink aria-pressed:font-semibold";

/** What a hand does beside the plan: lid, flame, and a nose that knows better than the clock. */
export function Hands({ brew }: { brew: BrewResponse }) {
  const step = brew.plan.steps.find((s) => s.key === brew.nowKey);
  const fire = brew.fire;
  const pot = step !== undefined && ofStage(step) && !step.handsOn && !!fire && !fire.kettle;
  const ripe = step !== undefined && ripens(step);
  const onFlame = pot && (powerOf(step) > 0 || fire.flame !== "off");
  const turn = (t: Turn) => confirm(brew.id, { kind: "turned", turn: t });
  const lid = () => pot && turn(fire.lid ? "lid-off" : "lid-on");
  const smells = () => ripe && step && confirm(brew.id, { kind: "step-done", step: step.key, sign: "smell" });
  useKey("l", lid);
  useKey("r", smells);
  if (step?.kind === "strain" && fire) return <Marc brew={brew} pressed={fire.pressed} turn={turn} />;
  if (!pot) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <button type="button" className={button} onClick={lid}>
        {fire.lid ? say("live.lidOff") : say("live.lidOn")}
      </button>
      {ripe && (
        <>
          <button type="button" className={button} onClick={smells}>
            {say("live.smellsReady")}
          </button>
          <button
            type="button"
            className={button}
            onClick={() => confirm(brew.id, { kind: "step-done", step: step.key, sign: "colour" })}
          >
            {say("live.looksReady")}
          </button>
        </>
      )}
      {onFlame && (
        <Setting
          name={say("live.flame")}
          all={FLAMES.map((f) => ({ value: f, words: f }))}
          now={fire.flame}
          onPick={(f) => turn(`flame-${f}`)}
        />
      )}
    </div>
  );
}

/** One of a few settings, the one that stands underlined. */
function Setting<T extends string>({
  name,
  all,
  now,
  onPick,
}: {
  name: string;
  all: readonly { value: T; words: string }[];
  now: string;
  onPick: (value: T) => void;
}) {
  return (
    <div role="group" aria-label={name} className="flex items-center">
      <span className="mr-2 text-muted">{name}</span>
      {all.map(({ value, words }) => (
        <button
          key={value}
          type="button"
          aria-pressed={now === value}
          className="min-h-14 border-transparent border-b-[3px] px-2.5 aria-pressed:border-ember aria-pressed:font-semibold"
          onClick={() => now !== value && onPick(value)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}

/** Whether the spent herbs are let drip or pressed, and how much that makes. */
function Marc({ brew, pressed, turn }: { brew: BrewResponse; pressed: boolean; turn: (t: Turn) => void }) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4">
      <Setting
        name={say("live.theSpentHerbs")}
        all={[
          { value: "drained", words: say("live.letItDrip") },
          { value: "pressed", words: say("live.pressIt") },
        ]}
        now={pressed ? "pressed" : "drained"}
        onPick={(m) => turn(`marc-${m}`)}
      />
      <span className="text-muted">
        <Said of="live.leftInTheEnd" amount={millilitres(brew.leftMl)} />
      </span>
    </div>
  );
}

/** What an event was, as its undo says it. */
export function eventWords(brew: BrewResponse, event: BrewResponse["events"][number]): string {
  if (event.kind === "step-done") {
    return `“${brew.plan.steps.find((s) => s.key === event.step)?.confirm ?? say("live.theLastStep")}”`;
  }
  if (event.kind === "turned") return `“${event.text}”`;
  if (event.kind === "poured") return say("live.thePoured", { text: event.text });
  if (event.kind === "kept" || event.kind === "emptied") return `“${event.text?.toLowerCase()}”`;
  return say("live.theReading", { text: event.text });
}

const UNDOABLE = ["step-done", "turned", "measured", "poured", "kept", "emptied"];

/** The last thing said of a brew that can be taken back. */
export function lastSaid(brew: BrewResponse) {
  return [...brew.events].reverse().find((e) => UNDOABLE.includes(e.kind));
}
