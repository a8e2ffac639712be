/**
 * The same heights in the order they were, so far apart that the words beside them have room.
 * @param by px between two of them; below zero the upper ones give way upwards, above it the lower ones downwards
 */
export function apart(heights: number[], by: number): number[] {
  const way = Math.sign(by);
  const order = heights.map((h, i) => ({ h: h * way, i })).sort((a, b) => a.h - b.h);
  const placed = [...heights];
  let last = Number.NEGATIVE_INFINITY;
  for (const { h, i } of order) {
    last = Math.max(h, last + Math.abs(by));
    placed[i] = last * way;
  }
  return placed;
}
