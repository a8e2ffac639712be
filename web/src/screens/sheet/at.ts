import { ofWall, wall } from "../../api/zone";
import { timeValue } from "../../parts/say";

/** "HH:MM" of any day, or with its day; undefined when it is no time. */
export function readAt(text: string | null): string | undefined {
  const said = /^(?:(\d{4}-\d{2}-\d{2})T)?([01]?\d|2[0-3]):[0-5]\d$/.exec(text ?? "");
  if (!said || !text) return undefined;
  const day = said[1];
  return day && dayOfMonth(day) !== Number(day.slice(8)) ? undefined : text;
}

/** The thirtieth of February is a day of March, or none. */
const dayOfMonth = (day: string) => new Date(`${day}T00:00`).getDate();

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
