import { useChangeLearned } from "../../api/changes";
import type { PlanResponse } from "../../api/client";
import { say } from "../../words/say";

/** What the household's own brews taught that moves this plan; each can be switched off or forgotten. */
export function LearnedLines({ plan }: { plan: PlanResponse }) {
  const change = useChangeLearned();
  return (
    <>
      {plan.learned.map((l) => (
        <p key={l.what} className="no-print mt-1 flex flex-wrap gap-x-4 text-sm">
          <span className={l.used ? "" : "text-muted line-through"}>{l.words}</span>
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => change.mutate({ what: l.what, used: !l.used })}
          >
            {l.used ? say("sheet.doNotUseIt") : say("sheet.useItAgain")}
          </button>
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => change.mutate({ what: l.what, forget: true })}
          >
            {say("sheet.forgetIt")}
          </button>
        </p>
      ))}
    </>
  );
}
