import { useQuery } from "@tanstack/react-query";
import { Popover } from "radix-ui";
import { createContext, type ReactNode, useContext, useState } from "react";
import type { Workings } from "../api/client";
import { keys } from "../api/keys";
import { useSources } from "../api/queries";
import { Said } from "../words/Said";
import { say } from "../words/say";
import { figure } from "./say";

interface Asked {
  /** What tells one plan's figures from another's. */
  key: unknown;
  load: () => Promise<Record<string, Workings>>;
}

const Figures = createContext<Asked | null>(null);

/** Where the numbers below it come from; nothing is asked for before somebody asks why. */
export const FiguresOf = Figures.Provider;

/**
 * A number that answers "why?": click it, or press `?` on it. Its workings are given, or are those of the figure `of` of the
 * plan around it.
 */
export function Why({
  what,
  of,
  workings,
  children,
  className = "",
}: {
  /** What the number is. */
  what: string;
  of?: string;
  workings?: Workings;
  children: ReactNode;
  className?: string;
}) {
  const asked = useContext(Figures);
  const [open, setOpen] = useState(false);
  const loaded = useQuery({
    queryKey: keys.workings(asked?.key),
    queryFn: () => asked?.load() ?? Promise.resolve<Record<string, Workings>>({}),
    enabled: open && !workings && asked !== null,
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (!workings && !asked) return <span className={className}>{children}</span>;
  const step = workings ?? (of ? loaded.data?.[of] : undefined);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          type="button"
          className={`group text-left underline decoration-1 decoration-hairline decoration-dotted underline-offset-4 hover:decoration-ink ${className}`}
          onKeyDown={(e) => e.key === "?" && e.currentTarget.click()}
        >
          {children}
          <span className="sr-only">{`, ${say("common.whyThisNumber", { what })}`}</span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          collisionPadding={12}
          sideOffset={6}
          className="z-40 max-h-[min(70dvh,var(--radix-popover-content-available-height))] w-[min(420px,92vw)] overflow-auto rounded-one border border-hairline bg-raised p-4 text-sm shadow-lg"
        >
          {step ? (
            <Tree step={step} depth={0} />
          ) : (
            <p className="text-muted">
              {loaded.error
                ? loaded.error.message
                : loaded.data
                  ? say("common.noWorkingsAreKeptOf")
                  : say("common.workingItOut")}
            </p>
          )}
          <Popover.Arrow className="fill-hairline" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A part with more lines than this is folded until somebody opens it. */
const MANY = 24;

const lines = (step: Workings): number => (step.inputs ?? []).reduce((sum, i) => sum + lines(i), 1);

function Tree({ step, depth }: { step: Workings; depth: number }) {
  const sources = useSources();
  const source = sources.data?.find((s) => s.key === step.source);
  const inputs = step.inputs ?? [];
  const parts = say("common.parts", { n: inputs.length });
  const [open, setOpen] = useState(depth === 0 || lines(step) <= MANY);
  return (
    <div className={depth > 0 ? "mt-2 border-l border-hairline pl-3" : ""}>
      <div className="flex items-baseline justify-between gap-4">
        <span className={depth === 0 ? "font-semibold" : ""}>{step.label}</span>
        <span className="figure whitespace-nowrap text-base">
          {figure(step.value)} {step.unit}
          {step.beside && <span className="font-normal text-muted"> · {step.beside}</span>}
        </span>
      </div>
      {step.formula && <div className="text-muted">{step.formula}</div>}
      {source && (
        <div className="text-muted italic">
          <Said of="common.source" title={source.title} />
        </div>
      )}
      {open ? (
        inputs.map((input, i) => <Tree key={i} step={input} depth={depth + 1} />)
      ) : (
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
          onClick={() => setOpen(true)}
          aria-label={say("common.figureAndItsParts", { name: step.label, parts })}
        >
          {parts}
        </button>
      )}
    </div>
  );
}
