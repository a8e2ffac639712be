import { Popover, RadioGroup } from "radix-ui";
import { createContext, type ReactNode, useContext, useRef, useState } from "react";
import { inCore, ofCore, onScale, scaleOf } from "../api/house";
import * as limit from "../api/limit.gen";
import { say } from "../words/say";

/** Closes the word that a control stands in. */
const Close = createContext(() => {});

const WORD =
  "relative border-ink border-b-2 px-0.5 font-semibold text-ink leading-tight max-sm:reach hover:border-ember hover:text-ember-text data-[state=open]:border-ember";
/** A word that stands beside others of its kind in a long list, and does not ask to be read first. */
const QUIET_WORD =
  "relative border-hairline border-b-2 px-0.5 text-inherit leading-tight max-sm:reach-line hover:border-ember hover:text-ember-text data-[state=open]:border-ember";

interface WordProps {
  label: string;
  shown: string;
  quiet?: boolean;
  children: (close: () => void) => ReactNode;
}

/** An underlined part of the order sentence; opens its control in place. What opens is made when it is first asked for. */
export function Word({ label, shown, quiet = false, children }: WordProps) {
  const [asked, setAsked] = useState(false);
  if (asked) return <Opening label={label} shown={shown} quiet={quiet} children={children} />;
  return (
    <button
      type="button"
      aria-label={say("common.change", { label, shown })}
      aria-haspopup="dialog"
      aria-expanded={false}
      className={quiet ? QUIET_WORD : WORD}
      onClick={() => setAsked(true)}
    >
      {shown}
    </button>
  );
}

function Opening({ label, shown, quiet, children }: WordProps) {
  const [open, setOpen] = useState(true);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label={say("common.change", { label, shown })}
          className={quiet ? QUIET_WORD : WORD}
        >
          {shown}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={8}
          collisionPadding={12}
          align="start"
          aria-label={label}
          className="z-40 max-h-[var(--radix-popover-content-available-height)] min-w-52 max-w-[92vw] overflow-auto rounded-one border border-hairline bg-raised p-3 shadow-lg"
        >
          <Close.Provider value={() => setOpen(false)}>{children(() => setOpen(false))}</Close.Provider>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** From so many on they are searched. */
const SEARCHED_FROM = 8;

/** One of a few, as a column of words. By pointer or space a choice closes its word; the arrow keys try one after the other. */
export function OneOf<T extends string>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: { value: T; label: string; gloss?: string }[];
  onPick: (v: T) => void;
}) {
  const close = useContext(Close);
  const byArrow = useRef(false);
  const [words, setWords] = useState("");
  const searched = options.length >= SEARCHED_FROM;
  const fits = (o: { label: string; gloss?: string }) =>
    `${o.label} ${o.gloss ?? ""}`.toLowerCase().includes(words.trim().toLowerCase());
  const shown = options.filter((o) => words.trim() === "" || fits(o));
  const group = (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={(v) => {
        onPick(v as T);
        if (!byArrow.current) close();
      }}
      onKeyDownCapture={(e) => {
        byArrow.current = e.key.startsWith("Arrow");
      }}
      onPointerDownCapture={() => {
        byArrow.current = false;
      }}
      className="flex flex-col"
    >
      {shown.map((o) => (
        <RadioGroup.Item
          key={o.value}
          value={o.value}
          onClick={() => o.value === value && !byArrow.current && close()}
          className="flex min-h-11 items-baseline gap-2 border-hairline border-b px-2 py-2 text-left last:border-b-0 hover:bg-strip aria-checked:font-semibold"
        >
          <span aria-hidden className="w-4 text-ember-text">
            {o.value === value ? "●" : "○"}
          </span>
          <span>
            {o.label}
            {o.gloss && <span className="block font-normal text-muted text-sm">{o.gloss}</span>}
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
  if (!searched) return group;
  return (
    <>
      <input
        type="search"
        aria-label={say("common.search", { label: label.toLowerCase() })}
        placeholder={say("common.searchWithin")}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        className="sticky top-0 z-10 mb-1 min-h-11 w-full border-ink border-b-2 bg-raised px-2"
      />
      {shown.length === 0 && <p className="px-2 py-2 text-muted">{say("common.noneOfThatName")}</p>}
      {group}
    </>
  );
}

/** Fewer and more, with the number between. */
export function Stepper({
  label,
  value,
  low,
  high,
  step = 1,
  unit,
  onChange,
}: {
  label: string;
  value: number;
  low: number;
  high: number;
  step?: number;
  unit: string;
  onChange: (v: number) => void;
}) {
  // Nothing is offered below one step, where the range begins with a hair of it.
  const least = Math.max(low, step);
  const to = (v: number) => onChange(Math.min(high, Math.max(least, v)));
  // The next even step, also from an odd number between.
  const next = (by: 1 | -1) => {
    const steps = by * Math.floor((by * value) / step + 1e-6) + by;
    return Number((steps * step).toFixed(2));
  };
  const button =
    "grid size-12 place-items-center rounded-one border border-hairline text-2xl hover:bg-strip disabled:text-hairline";
  return (
    <div className="flex items-center gap-3">
      <button
        type="button"
        className={button}
        aria-label={say("common.less", { label })}
        disabled={value <= least}
        onClick={() => to(next(-1))}
      >
        −
      </button>
      <label className="flex items-baseline gap-1">
        <span className="sr-only">{label}</span>
        <input
          type="number"
          inputMode="numeric"
          className="figure w-16 rounded-one bg-transparent text-center text-3xl"
          value={value}
          min={least}
          max={high}
          step="any"
          onChange={(e) =>
            e.target.value !== "" && Number.isFinite(e.target.valueAsNumber) && to(e.target.valueAsNumber)
          }
        />
        <span className="text-muted">{unit}</span>
      </label>
      <button
        type="button"
        className={button}
        aria-label={say("common.moreLabel", { label })}
        disabled={value >= high}
        onClick={() => to(next(1))}
      >
        +
      </button>
    </div>
  );
}

/** The size of a cup, in the unit of the house. */
export function CupSize({ value, onChange }: { value: number; onChange: (ml: number) => void }) {
  const scale = scaleOf("volume");
  const shown = (ml: number) => Math.round(onScale(scale, ml) * 100) / 100;
  return (
    <Stepper
      label={say("common.cupSize")}
      value={shown(value)}
      low={shown(limit.CUP_ML.low)}
      high={shown(limit.CUP_ML.high)}
      step={ofCore(scale) ? 10 : 0.5}
      unit={scale.unit}
      onChange={(v) => onChange(Math.min(limit.CUP_ML.high, Math.max(limit.CUP_ML.low, inCore(scale, v))))}
    />
  );
}
