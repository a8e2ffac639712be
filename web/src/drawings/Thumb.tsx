import type { RecipeResponse } from "../api/client";
import { traitsOf } from "../api/stages";

/** The fire line of a recipe, thumb-sized: flame band by power, lid above it, additions as dots. Time is to scale inside one line. */
export function Thumb({ thumb, label }: { thumb: RecipeResponse["thumb"]; label: string }) {
  const width = length(thumb.minutes);
  const base = 34;
  const widths = fair(thumb.segments.map((s) => s.share));
  let x = 0;
  return (
    <svg viewBox="0 0 204 40" className="h-10 w-full max-w-56" role="img" aria-label={label}>
      {thumb.segments.map((s, i) => {
        const w = (widths[i] ?? 0) * width;
        const at = x;
        x += w;
        const height = s.power * 22;
        const kind = traitsOf(s.kind);
        const wet = kind?.infuses && !kind.heats;
        return (
          <g key={i}>
            {height > 0 && (
              <rect
                x={at}
                y={base - height}
                width={w}
                height={height}
                fill="var(--ember-fill)"
                stroke="var(--ember)"
                strokeWidth={1.5}
              />
            )}
            {wet && <rect x={at} y={base - 6} width={w} height={6} fill="var(--water-fill)" />}
            {s.lid && w > 3 && (
              <path
                d={`M${at + 1},9 V6 H${at + w - 1} V9`}
                fill="none"
                stroke="var(--muted)"
                strokeWidth={1.2}
              />
            )}
            {s.kind === "strain" && (
              <line x1={at} x2={at} y1={14} y2={base} stroke="var(--ink)" strokeWidth={1.5} />
            )}
            {s.additions > 0 && <circle cx={at + 3} cy={base - 27} r={3} fill="var(--herb)" />}
          </g>
        );
      })}
      <line x1={0} x2={width} y1={base} y2={base} stroke="var(--muted)" strokeWidth={1} />
    </svg>
  );
}

/** Shares as they are, but nothing thinner than a hair that can be seen. */
function fair(shares: number[]): number[] {
  const seen = shares.map((s) => Math.max(s, 0.012));
  const sum = seen.reduce((a, b) => a + b, 0) || 1;
  return seen.map((s) => s / sum);
}

/** Length of the whole line: a ten-minute cup is short, a day's jar is long; the logarithm keeps both on one page. */
function length(minutes: number): number {
  return Math.min(200, Math.max(48, 48 + 62 * Math.log10(Math.max(1, minutes / 10))));
}
