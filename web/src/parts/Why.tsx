import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import type { Workings } from "../api/client";
import { useSources } from "../api/queries";
import { figure } from "./say";

/** A number that answers "why?": click it, or press `?` on it. */
export function Why({
  workings,
  children,
  className = "",
}: {
  workings?: Workings;
  children: ReactNode;
  className?: string;
}) {
  if (!workings) return <span className={className}>{children}</span>;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          className={`group text-left decoration-dotted decoration-1 underline-offset-4 hover:underline ${className}`}
          aria-label={`${workings.label}: why this number?`}
          onKeyDown={(e) => e.key === "?" && e.currentTarget.click()}
        >
          {children}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          collisionPadding={12}
          sideOffset={6}
          className="z-40 max-h-[70dvh] w-[min(420px,92vw)] overflow-auto rounded-one border border-hairline bg-raised p-4 text-sm shadow-lg"
        >
          <Tree step={workings} depth={0} />
          <Popover.Arrow className="fill-hairline" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Tree({ step, depth }: { step: Workings; depth: number }) {
  const sources = useSources();
  const source = sources.data?.find((s) => s.key === step.source);
  return (
    <div className={depth > 0 ? "mt-2 border-l border-hairline pl-3" : ""}>
      <div className="flex items-baseline justify-between gap-4">
        <span className={depth === 0 ? "font-semibold" : ""}>{step.label}</span>
        <span className="figure whitespace-nowrap text-base">
          {figure(step.value)} {step.unit}
        </span>
      </div>
      {step.formula && <div className="text-muted">{step.formula}</div>}
      {source && <div className="text-muted italic">Source: {source.title}</div>}
      {(step.inputs ?? []).map((input, i) => (
        <Tree key={i} step={input} depth={depth + 1} />
      ))}
    </div>
  );
}
