import type { ReactNode } from "react";
import { Link } from "react-router";
import { ProblemError } from "../api/http";
import { Said } from "../words/Said";
import { say } from "../words/say";

/** Waiting for the first answer: a quiet line where the content will stand. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="py-16 text-muted">
      <Said of="common.lookingUp" what={what} />
    </p>
  );
}

/** A cook knows nothing of ids: of what is not kept any more she is told that, and not what it was kept under. */
function inWords(error: unknown): string {
  if (error instanceof ProblemError && error.status === 404)
    return say("common.itMayHaveBeenTaken", { title: error.title });
  return error instanceof Error ? error.message : say("common.somethingWentWrong");
}

/** Something failed: what happened, what is kept, what to do; asked again only when that may help. */
export function Trouble({
  error,
  again,
  children,
}: {
  error: unknown;
  again?: () => void;
  /** Other ways on. */
  children?: ReactNode;
}) {
  return (
    <div role="alert" className="my-8 border-stop border-l-4 pl-4">
      <p className="max-w-prose">{inWords(error)}</p>
      {children}
      {again && !(error instanceof ProblemError && !error.again) && (
        <button type="button" className="mt-3 min-h-11 rounded-one border border-ink px-4" onClick={again}>
          {say("common.tryAgain")}
        </button>
      )}
    </div>
  );
}

/** What a page is about did not come: the way on is `to`, in the words of `children`. */
export function Missing({
  error,
  again,
  to,
  children,
}: {
  error: unknown;
  again?: () => void;
  to: string;
  children: ReactNode;
}) {
  return (
    <>
      <Trouble error={error} again={again} />
      <p>
        <Link to={to} className="inline-flex min-h-11 items-center underline underline-offset-4">
          {children}
        </Link>
      </p>
    </>
  );
}

/** Nothing here yet, and how to begin; as a whole page, or as a part of one. */
export function Empty({ title, page, children }: { title: string; page?: true; children?: ReactNode }) {
  const Title = page ? "h1" : "h2";
  return (
    <div className="py-12">
      <Title className="text-2xl">{title}</Title>
      <div className="mt-2 max-w-prose text-muted">{children}</div>
    </div>
  );
}
