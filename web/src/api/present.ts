/**
 * The server's clock, which is the kitchen's: a phone may be minutes off and still show the right minute. Every answer says
 * when it was given, in whole seconds; nothing finer is known, or needed where minutes are shown.
 */
const KEY = "ember-clock-ahead";
/** An answer's date is cut to its second, and the server renews it once a second, ms. */
const COARSE_MS = 2_000;

/** How far the server's clock is ahead of this browser's, ms; remembered, so that the first picture is right too. */
let aheadMs = Number(localStorage.getItem(KEY)) || 0;
const listeners = new Set<() => void>();

/** Learns from an answer that was asked for and had at these moments of the browser's clock, ms. */
export function heard(answer: Response, askedMs: number, hadMs: number) {
  const said = Date.parse(answer.headers.get("Date") ?? "");
  if (Number.isNaN(said)) return;
  const least = said - hadMs;
  const most = said + COARSE_MS - askedMs;
  if (aheadMs >= least && aheadMs <= most) return;
  // Both clocks may well be right: that is taken before anything between the two bounds.
  aheadMs = least <= 0 && most >= 0 ? 0 : Math.round((least + most) / 2);
  localStorage.setItem(KEY, String(aheadMs));
  for (const told of listeners) told();
}

/** Tells when the present has jumped, because a clock turned out to be wrong. @returns how to stop it */
export function onJump(told: () => void): () => void {
  listeners.add(told);
  return () => listeners.delete(told);
}

/** The present by the server's clock, ms. */
export const presentMs = () => Date.now() + aheadMs;

/** The present by the server's clock. */
export const present = () => new Date(presentMs());
