import type { CurvePoint } from "../api/client";

/** The state at a moment, between the samples of the curve; its first or last before and after them. */
export function stateAt(curve: CurvePoint[], tS: number): CurvePoint | undefined {
  const after = curve.findIndex((p) => p.tS > tS);
  const b = curve[after];
  const a = curve[after - 1];
  if (!a || !b) return after === -1 ? curve.at(-1) : curve[0];
  const f = (tS - a.tS) / Math.max(b.tS - a.tS, 0.001);
  const mix = (x: number, y: number) => x + (y - x) * f;
  return {
    tS,
    tempC: mix(a.tempC, b.tempC),
    waterMl: mix(a.waterMl, b.waterMl),
    body: mix(a.body, b.body),
    aroma: mix(a.aroma, b.aroma),
    bite: mix(a.bite, b.bite),
  };
}
