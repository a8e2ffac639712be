import { useState } from "react";
import type { PlanResponse } from "../../api/client";
import { present, presentMs } from "../../api/present";
import { clock, day, moment, sameDay } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** The one button of the sheet, or why there is none. */
export function Start({
  plan,
  later,
  busy,
  unsure,
  onStart,
}: {
  plan: PlanResponse;
  later: boolean;
  busy: boolean;
  /** Herbs whose identity has not been confirmed. */
  unsure: number;
  onStart: (now: boolean) => void;
}) {
  const soon = new Date(presentMs() + (plan.readyS ?? plan.totalS) * 1000);
  const doubts = plan.cautions.filter((c) => c.asks).length;
  const [meant, setMeant] = useState(0);
  const asking = doubts > meant;
  if (plan.stopped) {
    return (
      <p className="max-w-56 border-stop border-l-4 pl-3 text-sm">
        <Said
          of="sheet.thisMustNotBeBrewed"
          stop={<strong className="text-stop">{say("sheet.stop")}</strong>}
        />
      </p>
    );
  }
  if (unsure > 0) {
    return (
      <p className="max-w-56 border-amber border-l-4 pl-3 text-sm">
        <Said
          of="sheet.confirmWhatTheGatheredBelow"
          first={<strong className="text-amber-text">{say("sheet.firstMakeSure")}</strong>}
          herbs={unsure}
        />
      </p>
    );
  }
  return (
    <div className="no-print flex flex-col items-stretch gap-1.5 max-md:w-full">
      <button
        type="button"
        disabled={busy}
        onClick={() => (asking ? setMeant(doubts) : onStart(!later))}
        className="min-h-[68px] rounded-one bg-ember px-6 text-ember-ink hover:brightness-110 disabled:opacity-60"
      >
        <span className="block font-display font-semibold text-xl [font-stretch:85%]">
          {asking
            ? say("sheet.iHaveChecked")
            : later
              ? say("sheet.startAt", { when: moment(plan.startAt, present()) })
              : say("sheet.startNow")}
        </span>
        <span className="block text-[15px]">
          {asking
            ? say("sheet.thingsToCheck", { doubts })
            : say("sheet.readyClock", { clock: clock(plan.readyAt) })}
        </span>
        {/* On a line of its own: late in the evening a button that widens would move all that stands beside it. */}
        {!sameDay(plan.readyAt, present()) && (
          <span className="block text-[13px]">
            <span className="sr-only">, </span>
            {day(plan.readyAt)}
          </span>
        )}
      </button>
      {later && !asking && (
        <button
          type="button"
          disabled={busy}
          onClick={() => onStart(true)}
          className="min-h-9 max-sm:min-h-11 text-sm underline underline-offset-4"
        >
          {say("sheet.orStartNowReady", { when: moment(soon, present()) })}
        </button>
      )}
    </div>
  );
}
