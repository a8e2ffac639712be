const W = 62;
const H = 58;
const TOP = 30;
/** How dark she likes it. */
const SHADE: Record<string, number> = { gentle: 0.3, standard: 0.55, strong: 0.85 };

/** Somebody as a cup: full as far as her share of a cup goes, as dark as she likes it, with the spoon of whoever brews. */
export function OwnCup({
  serving,
  strength,
  brewer,
}: {
  /** Part of an adult's cup, 0–1. */
  serving: number;
  strength: string;
  brewer: boolean;
}) {
  const left = (y: number) => 3 + (y / H) * 8;
  const wall = (y: number) => `${left(y)},${y}`;
  const level = H - 3 - serving * (H - 12);
  return (
    <svg width={W + 22} height={H + TOP + 4} aria-hidden className="block shrink-0 overflow-visible">
      <g transform={`translate(2,${TOP})`} strokeLinecap="round" strokeLinejoin="round" fill="none">
        {serving > 0 && (
          <path
            d={`M${left(level) + 2},${level} L${left(H) + 2},${H - 2} H${W - left(H) - 2} L${W - left(level) - 2},${level} Z`}
            fill="var(--herb)"
            fillOpacity={SHADE[strength] ?? 0.55}
          />
        )}
        {brewer && (
          <path
            d={`M${W * 0.4},${H - 6} L${W * 0.72},-24 m-3,-2 q4,-7 8,-3 t-3,9 t-6,-3`}
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
        )}
        <path
          d={`M${wall(0)} L${wall(H)} H${W - left(H)} L${W - left(0)},0`}
          stroke="var(--ink)"
          strokeWidth={3.5}
        />
        <path d={`M${W - 5},14 q18,-3 15,11 t-18,13`} stroke="var(--ink)" strokeWidth={3.5} />
      </g>
    </svg>
  );
}
