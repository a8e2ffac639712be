import type { ReactNode } from "react";
import { TinShape } from "./TinShape";

const W = 34;
const H = 42;
const LINE = {
  fill: "none",
  stroke: "var(--ink)",
  strokeWidth: 2.2,
  strokeLinejoin: "round",
  strokeLinecap: "round",
} as const;

/** What is fresh, as it stands: on a board, in a glass, in a bag, as cubes. Past its time it is amber. */
const STANDS: Record<string, (colour: string) => ReactNode> = {
  counter: (colour) => (
    <>
      <path
        d="M6,31 Q4,23 12,22 Q13,14 20,17 Q28,15 27,23 Q32,28 26,32 Q16,36 6,31 Z"
        fill={colour}
        fillOpacity={0.7}
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <path d="M1,37 H33" {...LINE} />
    </>
  ),
  water: (colour) => (
    <>
      <path d="M9,27 H25 L23.5,39 H10.5 Z" fill="var(--water-fill)" stroke="none" />
      <path
        d="M17,37 V6 M17,20 Q9,19 8,11 M17,15 Q25,14 26,6"
        stroke={colour}
        strokeWidth={3}
        fill="none"
        strokeLinecap="round"
      />
      <path d="M8,20 L10,40 H24 L26,20" {...LINE} />
    </>
  ),
  fridge: (colour) => (
    <>
      <path
        d="M10,22 Q9,17 15,18 Q18,14 22,18 Q27,19 25,25 Q25,32 17,32 Q9,31 10,22 Z"
        fill={colour}
        fillOpacity={0.7}
      />
      <path d="M5,8 H29 V39 H5 Z" {...LINE} />
      <path d="M5,12 H29" {...LINE} strokeWidth={1.5} />
    </>
  ),
  freezer: (colour) => (
    <>
      {[
        [4, 12],
        [18, 12],
        [4, 26],
        [18, 26],
      ].map(([x, y]) => (
        <rect
          key={`${x} ${y}`}
          x={x}
          y={y}
          width={11}
          height={11}
          rx={2}
          fill={colour}
          fillOpacity={0.45}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      ))}
    </>
  ),
};

/** A thing of the house where it stands: a tin on its shelf, filled to its level, or something fresh in its place. */
export function ThingShape({
  fresh,
  place,
  share,
  stale,
}: {
  fresh: boolean;
  place: string;
  share: number | null;
  stale: boolean;
}) {
  const drawn = STANDS[place];
  if (!fresh || !drawn) return <TinShape share={share} stale={stale} />;
  return (
    <svg width={W} height={H} aria-hidden className="shrink-0">
      {drawn(stale ? "var(--amber)" : "var(--herb)")}
    </svg>
  );
}
