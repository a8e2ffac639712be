import { type ReactNode, useId } from "react";
import { inCore, onScale, type Quantity, scaleOf, stepAt } from "../api/house";
import * as length from "../api/length.gen";

const LINE =
  "min-h-11 w-full border-ink border-b-2 bg-transparent px-1 placeholder:text-muted aria-[invalid=true]:border-stop";

/** A labelled control with its complaint under it. */
export function Field({
  label,
  wrong,
  quiet = false,
  className = "",
  children,
}: {
  label: string;
  wrong?: string;
  /** The label is only read aloud. */
  quiet?: boolean;
  className?: string;
  children: (props: {
    id: string;
    className: string;
    "aria-invalid"?: true;
    "aria-describedby"?: string;
  }) => ReactNode;
}) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={quiet ? "sr-only" : "block text-muted text-sm"}>
        {label}
      </label>
      {children({
        id,
        className: LINE,
        ...(wrong ? { "aria-invalid": true, "aria-describedby": `${id}-wrong` } : {}),
      })}
      {wrong && (
        <p id={`${id}-wrong`} className="mt-0.5 text-sm text-stop">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** A text of one line. */
export function TextField({
  label,
  value,
  onChange,
  wrong,
  quiet,
  className,
  placeholder,
  most = length.NAME,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  wrong?: string;
  quiet?: boolean;
  className?: string;
  placeholder?: string;
  most?: number;
}) {
  return (
    <Field label={label} wrong={wrong} quiet={quiet} className={className}>
      {(p) => (
        <input
          {...p}
          type="text"
          maxLength={most}
          value={value}
          placeholder={placeholder}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Field>
  );
}

/** A number that may be left out; what is typed stays as it is typed. */
export function NumberField({
  label,
  value,
  onChange,
  unit,
  wrong,
  quiet,
  className,
  step = "any",
}: {
  label: string;
  value: number | undefined;
  onChange: (v: number | undefined) => void;
  unit?: string;
  wrong?: string;
  quiet?: boolean;
  className?: string;
  step?: number | "any";
}) {
  return (
    <Field label={label} wrong={wrong} quiet={quiet} className={className}>
      {(p) => (
        <span className="flex items-baseline gap-1">
          <input
            {...p}
            type="number"
            inputMode="decimal"
            step={step}
            value={value ?? ""}
            onChange={(e) =>
              onChange(Number.isFinite(e.target.valueAsNumber) ? e.target.valueAsNumber : undefined)
            }
          />
          {unit && <span className="text-muted">{unit}</span>}
        </span>
      )}
    </Field>
  );
}

/** A quantity of the core, shown and typed in the unit of the house; may be left out. */
export function QuantityField({
  of,
  value,
  onChange,
  ...rest
}: Omit<Parameters<typeof NumberField>[0], "unit" | "step"> & { of: Quantity }) {
  const scale = scaleOf(of);
  const shown = value === undefined ? undefined : onScale(scale, value);
  // A digit finer than it is said: what was typed stays as typed, what was reckoned has no tail.
  const fine = shown === undefined ? 1 : stepAt(scale, shown) / 10;
  return (
    <NumberField
      {...rest}
      unit={scale.unit}
      value={shown === undefined ? undefined : Number((Math.round(shown / fine) * fine).toFixed(4))}
      onChange={(typed) => onChange(typed === undefined ? undefined : inCore(scale, typed))}
    />
  );
}

/** One of some words. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onChange,
  wrong,
  quiet,
  className,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (v: T) => void;
  wrong?: string;
  quiet?: boolean;
  className?: string;
}) {
  return (
    <Field label={label} wrong={wrong} quiet={quiet} className={className}>
      {(p) => (
        <select {...p} value={value} onChange={(e) => onChange(e.target.value as T)}>
          {options.map((o) => (
            <option key={o.value} value={o.value} className="bg-raised text-ink">
              {o.label}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** The one thing to do on a form. */
export function Primary({
  children,
  busy,
  onClick,
}: {
  children: ReactNode;
  busy?: boolean;
  onClick?: () => void;
}) {
  return (
    <button
      type={onClick ? "button" : "submit"}
      disabled={busy}
      onClick={onClick}
      className="min-h-12 rounded-one bg-ink px-5 font-semibold text-ground hover:brightness-125 disabled:opacity-60"
    >
      {children}
    </button>
  );
}

/** A day, picked. @param value as the wire writes it; empty for none */
export function DateField({
  label,
  value,
  wrong,
  onChange,
}: {
  label: string;
  value: string;
  wrong?: string;
  onChange: (value: string) => void;
}) {
  return (
    <>
      <label className="block text-muted text-sm">
        {label}
        <input
          type="date"
          value={value}
          onChange={(e) => onChange(e.target.value)}
          className="min-h-11 w-full border-ink border-b-2 bg-transparent px-1 text-ink"
        />
      </label>
      {wrong && <p className="text-sm text-stop">{wrong}</p>}
    </>
  );
}

/** A file of the house, to be kept on the device. */
export function Download({ href, title, children }: { href: string; title?: string; children: ReactNode }) {
  return (
    <a
      href={href}
      download
      title={title}
      className="inline-flex min-h-11 items-center rounded-one border border-ink px-4"
    >
      {children}
    </a>
  );
}

/** Another thing that can be done. */
export function Secondary({
  children,
  onClick,
  label,
  disabled,
}: {
  children: ReactNode;
  onClick: () => void;
  label?: string;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      onClick={onClick}
      aria-label={label}
      disabled={disabled}
      className="min-h-11 rounded-one border border-ink px-4 hover:bg-strip disabled:border-hairline disabled:text-muted"
    >
      {children}
    </button>
  );
}

/** Something that is so or not. */
export function Tick({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-4 shrink-0 accent-[var(--ink)]"
        checked={on}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}
