import type { ReactNode } from "react";
import type { CautionLine } from "../api/client";
import { useSources } from "../api/queries";
import { say } from "../words/say";
import { Glossed } from "./Glossed";

const WORDS = { stop: say("common.stop"), care: say("common.care"), note: say("common.note") } as const;
const COLOURS: Record<string, string> = {
  stop: "border-stop text-stop",
  care: "border-amber text-amber-text",
  note: "border-hairline text-muted",
};

/** One thing that must be known before a cup is drunk. */
export function Caution({
  caution,
  whole,
  children,
}: {
  caution: CautionLine;
  /** With its source. */
  whole: boolean;
  /** What can be done about it. */
  children?: ReactNode;
}) {
  const source = useSources().data?.find((s) => s.key === caution.source);
  const colour = COLOURS[caution.severity] ?? COLOURS.note;
  return (
    <li className={`border-l-[5px] pl-3 text-[15px] leading-snug ${colour}`}>
      <strong>{WORDS[caution.severity as keyof typeof WORDS]}</strong>{" "}
      <span className="text-ink">
        <Glossed text={caution.text} />
      </span>
      {children}
      {whole && source && <span className="block text-muted text-sm">{source.title}</span>}
    </li>
  );
}
