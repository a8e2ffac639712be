const W = 30;
const H = 38;
const LID = 8;

/** A tin, filled as far as it was when it was weighed last; a stale one is hatched amber. Without an amount it says nothing. */
export function TinShape({ share, stale }: { share: number | null; stale: boolean }) {
  const inner = H - LID - 2;
  const filled = share === null ? 0 : Math.max(0, Math.min(1, share)) * inner;
  return (
    <svg width={W + 4} height={H + 4} aria-hidden className="shrink-0">
      <g transform="translate(2,2)" fill="none" strokeLinejoin="round">
        {filled > 0.5 && (
          <rect
            x={2}
            y={H - 1 - filled}
            width={W - 4}
            height={filled}
            fill={stale ? "var(--amber)" : "var(--herb)"}
            fillOpacity={stale ? 0.45 : 0.75}
          />
        )}
        <path d={`M1,${LID} V${H} H${W - 1} V${LID}`} stroke="var(--ink)" strokeWidth={2.2} />
        <path
          d={`M-1,${LID} H${W + 1} M2,${LID} V2 H${W - 2} V${LID}`}
          stroke="var(--ink)"
          strokeWidth={2.2}
        />
        {share === null && (
          <path d={`M6,${H - 8} H${W - 6}`} stroke="var(--muted)" strokeDasharray="2 3" strokeWidth={2} />
        )}
      </g>
    </svg>
  );
}
