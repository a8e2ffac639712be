import { type ReactNode, useId } from "react";

/** Room beside the walls for handles and spouts, px. */
export const BESIDE = 26;
/** Room above the rim for lids and knobs, px. */
export const ABOVE = 16;
const STROKE = 3.5;

interface Shape {
  kind: string;
  w: number;
  h: number;
}

/** A vessel of the household to scale, by its kind: what stands on the shelf is known by its outline. */
export function Silhouette({
  kind,
  diameterCm,
  heightCm,
  pxPerCm,
  level,
}: {
  kind: string;
  diameterCm: number;
  heightCm: number;
  pxPerCm: number;
  /** How full it is, 0–1 of its height; empty and as an outline when it is not said. */
  level?: number;
}) {
  const within = useId();
  const shape = { kind, w: diameterCm * pxPerCm, h: heightCm * pxPerCm };
  return (
    <svg
      width={shape.w + 2 * BESIDE}
      height={shape.h + ABOVE + 4}
      aria-hidden
      className="block overflow-visible"
    >
      <g
        transform={`translate(${BESIDE},${ABOVE})`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={STROKE}
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        {level !== undefined && (
          <>
            <clipPath id={within}>
              <path d={outline(shape)} />
            </clipPath>
            <rect
              clipPath={`url(#${within})`}
              x={0}
              y={shape.h * (1 - level)}
              width={shape.w}
              height={shape.h * level}
              fill="var(--water-fill)"
              stroke="none"
            />
            <path d={`M0,${shape.h * (1 - level)} H${shape.w}`} stroke="var(--water)" strokeWidth={2} />
          </>
        )}
        <path d={outline(shape)} />
        {BESIDES[kind]?.(shape)}
      </g>
    </svg>
  );
}

function outline({ kind, w, h }: Shape): string {
  const r = Math.min(w, h) * (kind === "teapot" ? 0.34 : kind === "pot" ? 0.1 : 0.14);
  return `M0,0 V${h - r} Q0,${h} ${r},${h} H${w - r} Q${w},${h} ${w},${h - r} V0`;
}

/** Handles, spouts and lids, each of its kind. */
const BESIDES: Record<string, (s: Shape) => ReactNode> = {
  mug: ({ h }) => (
    <path d={`M0,${h * 0.22} q-${BESIDE - 6},2 -${BESIDE - 6},${h * 0.26} t${BESIDE - 6},${h * 0.26}`} />
  ),
  teapot: ({ w, h }) => (
    <>
      <path d={`M${w},${h * 0.62} q12,-2 13,-${h * 0.34} l8,-${h * 0.22}`} />
      <path d={`M0,${h * 0.2} q-${BESIDE - 6},2 -${BESIDE - 6},${h * 0.28} t${BESIDE - 6},${h * 0.28}`} />
      <path d={`M-2,0 H${w + 2} M${w * 0.12},0 Q${w / 2},-11 ${w * 0.88},0`} />
      <circle cx={w / 2} cy={-9} r={2.5} fill="var(--ink)" />
    </>
  ),
  pot: ({ w, h }) => (
    <>
      <path d={`M-3,0 H${w + 3}`} strokeWidth={STROKE + 1} />
      <path d={`M0,${h * 0.2} h-12 v10 h12 M${w},${h * 0.2} h12 v10 h-12`} />
    </>
  ),
  jar: ({ w }) => (
    <>
      <path d={`M${w * 0.06},-3 V-11 H${w * 0.94} V-3`} />
      <path d={`M${w * 0.06},-7 H${w * 0.94}`} strokeWidth={1.5} />
    </>
  ),
  bottle: ({ w }) => (
    <>
      <path d={`M0,0 H${w * 0.34} V-5 M${w},0 H${w * 0.66} V-5`} />
      <path
        d={`M${w * 0.3},-5 H${w * 0.7} V-9 H${w * 0.6} q0,-6 -${w * 0.1},-6 t-${w * 0.1},6 H${w * 0.3} Z`}
        fill="var(--ink)"
        strokeWidth={1.5}
      />
    </>
  ),
  press: ({ w, h }) => (
    <>
      <path
        d={`M-2,0 H${w + 2} M${w / 2},0 V${h * 0.42} M${w * 0.06},${h * 0.42} H${w * 0.94}`}
        strokeWidth={2.5}
      />
      <circle cx={w / 2} cy={-6} r={4} fill="var(--ink)" />
      <path d={`M${w},${h * 0.18} h14 v${h * 0.6} h-14`} />
    </>
  ),
  thermos: ({ w, h }) => (
    <>
      <path d={`M${w * 0.14},0 V-12 H${w * 0.86} V0`} />
      <path d={`M7,8 V${h - 8} M${w - 7},8 V${h - 8}`} strokeWidth={1.5} />
    </>
  ),
};
