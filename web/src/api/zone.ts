import { theHouse } from "./house";

/** The zone of this device, by its IANA name. */
export const ownZone = Intl.DateTimeFormat().resolvedOptions().timeZone;

const formats = new Map<string, Intl.DateTimeFormat>();

/** How far the clocks of a zone are ahead of UTC at a moment, ms. */
function ahead(zone: string, at: Date): number {
  let format = formats.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat("en-US", {
      timeZone: zone,
      hourCycle: "h23",
      year: "numeric",
      month: "numeric",
      day: "numeric",
      hour: "numeric",
      minute: "numeric",
      second: "numeric",
    });
    formats.set(zone, format);
  }
  const part = Object.fromEntries(format.formatToParts(at).map((p) => [p.type, Number(p.value)]));
  const shown = Date.UTC(
    part.year ?? 0,
    (part.month ?? 1) - 1,
    part.day,
    part.hour,
    part.minute,
    part.second,
  );
  return shown - Math.floor(at.getTime() / 1000) * 1000;
}

/** The zone of the house, when it is said and is not this device's. */
function elsewhere(): string | undefined {
  const { zone } = theHouse();
  return zone && zone !== ownZone ? zone : undefined;
}

/** A moment as the clock on the kitchen's wall shows it: its hours and its day, read as if they were of here. */
export function wall(at: Date): Date {
  const zone = elsewhere();
  if (!zone) return at;
  const utc = new Date(at.getTime() + ahead(zone, at));
  return new Date(
    utc.getUTCFullYear(),
    utc.getUTCMonth(),
    utc.getUTCDate(),
    utc.getUTCHours(),
    utc.getUTCMinutes(),
    utc.getUTCSeconds(),
    utc.getUTCMilliseconds(),
  );
}

/** The moment at which the clock on the kitchen's wall shows that. */
export function ofWall(shown: Date): Date {
  const zone = elsewhere();
  if (!zone) return shown;
  const utc = Date.UTC(
    shown.getFullYear(),
    shown.getMonth(),
    shown.getDate(),
    shown.getHours(),
    shown.getMinutes(),
    shown.getSeconds(),
    shown.getMilliseconds(),
  );
  // Twice, as the first guess may stand on the other side of a change of the clocks.
  const guess = new Date(utc - ahead(zone, new Date(utc)));
  return new Date(utc - ahead(zone, guess));
}

const two = (n: number) => String(n).padStart(2, "0");

/** The day of the house at a moment, as it stands in a document: "2026-11-26". */
export function dayOf(at: Date): string {
  const d = wall(at);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/** The noon of a day of the house: a moment that is on that day whatever the clocks do. */
export function noonOf(day: string): Date {
  const [y = 0, m = 1, d = 1] = day.split("-").map(Number);
  return ofWall(new Date(y, m - 1, d, 12));
}
