import type { BrewResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { present } from "../../api/present";
import { moment, timer } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** What can be got ready while the pot waits, each a line that its going in closes; and what rests, with its own clock. */
export function Meanwhile({ brew, at }: { brew: BrewResponse; at: number }) {
  if (brew.meanwhile.length === 0) return null;
  return (
    <div className="mt-2 border-herb border-l-[5px] pl-3">
      <strong className="text-herb">{say("live.meanwhile")}</strong>
      <ul>
        {brew.meanwhile.map((key) => (
          <li key={key}>
            <One brew={brew} step={key} at={at} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function One({ brew, step, at }: { brew: BrewResponse; step: string; at: number }) {
  const planned = brew.plan.steps.find((s) => s.key === step);
  if (planned?.kind === "stand") {
    const due = brew.steps.find((s) => s.key === step)?.dueAt;
    const left = due ? (new Date(due).getTime() - at) / 1000 : 0;
    return (
      <p className="flex min-h-10 items-center gap-3 max-md:min-h-14">
        <span>{left > 0 ? planned.label : say("live.itHasRested", { name: planned.label })}</span>
        {left > 0 && <span className="figure text-2xl">{timer(left)}</span>}
      </p>
    );
  }
  return (
    <label className="flex min-h-10 items-center gap-3 max-md:min-h-14">
      <input
        type="checkbox"
        className="size-6 accent-[var(--herb)]"
        checked={false}
        onChange={() => confirm(brew.id, { kind: "step-done", step })}
      />
      {planned?.label}
    </label>
  );
}

/** What goes in with the next step and is not ready at a moment of the brew's clock. */
export function notReady(brew: BrewResponse, at: number) {
  return brew.open.filter((o) => !o.restsUntil || new Date(o.restsUntil).getTime() > at);
}

/** Says that all of it went in, ready or not: what was not ticked is ticked with it. */
export function allIn(brew: BrewResponse) {
  for (const o of brew.open) if (!o.restsUntil) confirm(brew.id, { kind: "step-done", step: o.key });
}

/** Asked once, before something goes in that is not ready. */
export function NotReady({
  open,
  onGoOn,
  onWait,
}: {
  open: BrewResponse["open"];
  onGoOn: () => void;
  onWait: () => void;
}) {
  const toDo = open.filter((o) => !o.restsUntil).map((o) => o.herb);
  const resting = open.filter((o) => o.restsUntil);
  const button = "min-h-14 rounded-one border border-ink px-5 font-semibold";
  return (
    <div role="group" aria-label={say("live.notReadyYet")} className="border-amber border-l-[5px] pl-3">
      {toDo.length > 0 && (
        <p className="text-lg">
          <Said of="live.notTickedYet" herbs={<strong>{toDo.join(", ")}</strong>} />
        </p>
      )}
      {resting.map((o) => (
        <p key={o.key} className="text-lg">
          <Said
            of="live.restsUntil"
            herb={<strong>{o.herb}</strong>}
            when={moment(o.restsUntil ?? "", present())}
          />
        </p>
      ))}
      <p className="mt-2 flex flex-wrap gap-3">
        <button type="button" className={button} onClick={onGoOn}>
          {resting.length > 0 ? say("live.itGoesInNow") : say("live.itIsInGoOn")}
        </button>
        <button type="button" className={button} onClick={onWait}>
          {say("live.notYet")}
        </button>
      </p>
    </div>
  );
}
