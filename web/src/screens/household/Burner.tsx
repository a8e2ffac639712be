/** Heat of the strongest burner of any kitchen drawn so wide, W. */
const FULL_W = 2500;
const WIDTH = 150;
const FLAMES = [
  { key: "low", height: 9 },
  { key: "medium", height: 15 },
  { key: "high", height: 21 },
] as const;

/** A burner: low, medium and high as flames under one grate, each as wide as the heat that reaches the water. */
export function BurnerDrawing({ low, medium, high }: { low: number; medium: number; high: number }) {
  const watts = { low, medium, high };
  return (
    <svg width={WIDTH + 6} height={30} aria-hidden className="block">
      <line x1={0} x2={WIDTH + 4} y1={4} y2={4} stroke="var(--ink)" strokeWidth={3.5} strokeLinecap="round" />
      {[...FLAMES].reverse().map((f, i) => {
        const w = Math.max(6, (Math.min(FULL_W, watts[f.key]) / FULL_W) * WIDTH);
        const left = 2 + (WIDTH - w) / 2;
        return (
          <path
            key={f.key}
            d={`M${left},28 Q${left + w / 2},${28 - f.height * 1.7} ${left + w},28 Z`}
            fill={i === 2 ? "var(--ember)" : "var(--ember-fill)"}
            stroke="var(--ember)"
            strokeWidth={1}
          />
        );
      })}
    </svg>
  );
}
