import { type ReactNode, useState } from "react";
import { say } from "../words/say";
import { Trouble } from "./states";

/** Takes something away for good: asked once more, where it stands. */
export function TakeAway({
  name,
  words = say("common.takeItAway"),
  sureWords = say("common.yesTakeAway", { name }),
  error,
  onTake,
  other,
  before,
}: {
  name: string;
  words?: string;
  sureWords?: string;
  error: unknown;
  onTake: () => void;
  /** Another way of taking it away, with what that does. */
  other?: { words: ReactNode; onTake: () => void };
  /** What else may be done before. */
  before?: ReactNode;
}) {
  const [sure, setSure] = useState(false);
  return (
    <>
      {sure ? (
        <span className="inline-flex flex-wrap gap-x-5">
          {before}
          <button type="button" className="min-h-11 text-stop underline underline-offset-4" onClick={onTake}>
            {sureWords}
          </button>
          {other && (
            <button
              type="button"
              className="min-h-11 text-stop underline underline-offset-4"
              onClick={other.onTake}
            >
              {other.words}
            </button>
          )}
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => setSure(false)}
          >
            {say("common.no")}
          </button>
        </span>
      ) : (
        <button
          type="button"
          aria-label={`${words}: ${name}`}
          className="min-h-11 text-muted underline underline-offset-4"
          onClick={() => setSure(true)}
        >
          {words}
        </button>
      )}
      {error != null && <Trouble error={error} />}
    </>
  );
}
