import { type ReactNode, useState } from "react";
import { ProblemError } from "../../api/client";
import { queryClient } from "../../api/queries";
import { Primary, Secondary } from "../../parts/Field";
import { Panel } from "../../parts/Panel";
import { Trouble } from "../../parts/states";

/** Keeps something of the household; a stale change ends in a choice, and nothing typed is lost. */
export function useKeeping<T extends { version?: number }>(
  save: (version: number | undefined) => Promise<unknown>,
  onClose: () => void,
) {
  const [failure, setFailure] = useState<unknown>(null);
  const [theirs, setTheirs] = useState<T | null>(null);
  const keep = async (version: number | undefined) => {
    setFailure(null);
    setTheirs(null);
    try {
      await save(version);
      await queryClient.invalidateQueries();
      onClose();
    } catch (e) {
      if (e instanceof ProblemError && e.status === 409 && e.kept) setTheirs(e.kept as T);
      else setFailure(e);
    }
  };
  const wrong = (field: string) =>
    failure instanceof ProblemError
      ? failure.violations.find((v) => v.field === field || v.field.endsWith(`.${field}`))?.wanted
      : undefined;
  return { keep, failure, theirs, wrong };
}

/** A form in a panel: fields, what went wrong, keep and remove. */
export function KeepingForm<T extends { version?: number }>({
  title,
  version,
  keeping,
  onClose,
  onTheirs,
  onRemove,
  removeWords,
  children,
}: {
  title: string;
  version: number | undefined;
  keeping: ReturnType<typeof useKeeping<T>>;
  onClose: () => void;
  onTheirs: (theirs: T) => void;
  onRemove?: () => Promise<unknown>;
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
          void keeping.keep(version);
        }}
      >
        {children}
        {failure !== null && <Trouble error={failure} />}
        {theirs && (
          <div role="alert" className="mt-4 border-amber border-l-4 pl-3">
            <p>This was changed elsewhere meanwhile. What you typed is still here.</p>
            <div className="mt-2 flex flex-wrap gap-3">
              <Secondary onClick={() => void keeping.keep(theirs.version)}>Keep mine</Secondary>
              <Secondary onClick={() => onTheirs(theirs)}>Show the other</Secondary>
            </div>
          </div>
        )}
        <div className="mt-5 flex flex-wrap items-center justify-between gap-3">
          <Primary>Keep it</Primary>
          {onRemove &&
            (sure ? (
              <button
                type="button"
                className="min-h-11 text-stop underline underline-offset-4"
                onClick={async () => {
                  await onRemove();
                  await queryClient.invalidateQueries();
                  onClose();
                }}
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
