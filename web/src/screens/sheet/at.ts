import { ofWall, wall } from "../../api/zone";
import { timeValue } from "../../parts/say";

/** The next moment at which a clock shows "HH:MM", today or tomorrow; or the moment of that day, "2026-11-28T19:30". */
export function nextAt(at: string, now: Date): Date {
  const [day, time] = at.includes("T") ? at.split("T") : [undefined, at];
  const [h, m] = (time ?? "").split(":").map(Number);
  const today = wall(now);
  const shown = day ? new Date(`${day}T00:00`) : new Date(today);
  shown.setHours(h ?? 0, m ?? 0, 0, 0);
  if (!day && shown <= today) shown.setDate(shown.getDate() + 1);
  return ofWall(shown);
}

const two = (n: number) => String(n).padStart(2, "0");

/** "2026-11-28", as the address has a day. */
export function dayValue(at: Date): string {
  const d = wall(at);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/** A moment with its day, as the address has it. */
export const atOn = (d: Date) => `${dayValue(d)}T${timeValue(d)}`;
