import { ProblemError } from "../../api/client";
import { Secondary } from "../../parts/Field";
import { say } from "../../words/say";

/** Asks once more before a herb of the house is forgotten; what is still used can only be put away. */
export function AskForget({
  question,
  error,
  onForget,
  onKeep,
}: {
  question: string;
  /** What the last try was answered with, if it failed. */
  error: Error | null;
  onForget: (retire: boolean) => void;
  onKeep: () => void;
}) {
  const inUse = error instanceof ProblemError && error.type.endsWith(":herb-in-use");
  return (
    <div role="group" aria-label={say("herbs.forgetIt")}>
      <p>{inUse ? say("herbs.putItAwayNothingOffers") : question}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Secondary onClick={() => onForget(inUse)}>
          {inUse ? say("herbs.putItAway") : say("herbs.yesForget")}
        </Secondary>
        <Secondary onClick={onKeep}>{say("herbs.keepIt")}</Secondary>
      </div>
    </div>
  );
}
