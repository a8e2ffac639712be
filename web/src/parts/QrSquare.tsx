const MODULE_PX = 5;
const MOST_PX = 340;

/** Rows of 1 and 0 as a square for a camera: dark on white by day and night. */
export function QrSquare({ rows, label }: { rows: string[]; label: string }) {
  const px = Math.min(MODULE_PX, Math.max(3, Math.floor(MOST_PX / rows.length)));
  const side = rows.length * px;
  return (
    <svg width={side} height={side} role="img" aria-label={label} className="shrink-0 bg-white">
      <path
        fill="#000"
        d={rows
          .flatMap((row, y) =>
            [...row].map((c, x) => (c === "1" ? `M${x * px},${y * px}h${px}v${px}h-${px}z` : "")),
          )
          .join("")}
      />
    </svg>
  );
}
