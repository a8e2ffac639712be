import { type ReactNode, useState } from "react";
import { keptInstead, ProblemError } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { Panel } from "../../parts/Panel";
import { Trouble } from "../../parts/states";

/** A change as the forms here need it. */
interface Change<Wish> {
  mutate: (wish: Wish, then: { onSuccess: () => void }) => void;
  error: unknown;
}

/** Keeps something of the household; a stale change ends in a choice, and nothing typed is lost. */
export function useKeeping<T extends { version?: number }, Wish>(
  change: Change<Wish>,
  wish: (version: number | undefined) => Wish,
  onClose: () => void,
) {
  const { error } = change;
  const theirs = keptInstead<T>(error);
  const keep = (version: number | undefined) => change.mutate(wish(version), { onSuccess: onClose });
  const wrong = (field: string) =>
    error instanceof ProblemError
      ? error.violations.find((v) => v.field === field || v.field.endsWith(`.${field}`))?.wanted
      : undefined;
  return { keep, failure: theirs ? null : error, theirs, wrong };
}

/** A form in a panel: fields, what went wrong, keep and remove. */
export function KeepingForm<T extends { version?: number }>({
  title,
  version,
  keeping,
  onClose,
  onTheirs,
  remove,
  removeWords,
  children,
}: {
  title: string;
  version: number | undefined;
  keeping: {
    keep: (version: number | undefined) => void;
    failure: unknown;
    theirs: T | undefined;
  };
  onClose: () => void;
  onTheirs: (theirs: T) => void;
  remove?: { id: string; change: Change<string> };
  removeWords?: string;
  children: ReactNode;
}) {
  const [sure, setSure] = useState(false);
  const { theirs, failure } = keeping;
  return (
    <Panel open onOpenChange={(o) => !o && onClose()} title={title}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          keeping.keep(version);
        }}
      >
        {children}
        {(failure ?? remove?.change.error) != null && <Trouble error={failure ?? remove?.change.error} />}
        {theirs && (
          <div role="alert" className="mt-4 border-amber border-l-4 pl-3">
            <p>This was changed elsewhere meanwhile. What you typed is still here.</p>
            <div className="mt-2 flex flex-wrap gap-3">
              <Secondary onClick={() => keeping.keep(theirs.version)}>Keep mine</Secondary>
              <Secondary onClick={() => onTheirs(theirs)}>Show the other</Secondary>
            </div>
          </div>
        )}
        <div className="mt-5 flex flex-wrap items-center justify-between gap-3">
          <Primary>Keep it</Primary>
          {remove &&
            (sure ? (
              <button
                type="button"
                className="min-h-11 text-stop underline underline-offset-4"
                onClick={() => remove.change.mutate(remove.id, { onSuccess: onClose })}
              >
                {removeWords ?? "Yes, take it away"}
              </button>
            ) : (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => setSure(true)}
              >
                take it away
              </button>
            ))}
        </div>
      </form>
    </Panel>
  );
}
