import { describe, expect, it } from "vitest";
import { type House, keepHouse } from "../src/api/house";
import { ofWall, wall } from "../src/api/zone";
import { clock, date, moment, timeValue } from "../src/parts/say";
import { hoursBetween } from "../src/parts/strip";
import { atOn, dayValue, nextAt } from "../src/screens/sheet/at";
import { seeded } from "./seeded";

const inZone = (zone: string | undefined) =>
  keepHouse({
    units: { hours: "twenty-four", dates: "year-month-day" },
    scales: {},
    zone,
  } as unknown as House);

/** Half hours, quarters, both sides of the date line, and changes of the clocks in either half of the year. */
const ZONES = [
  "Europe/Oslo",
  "America/Los_Angeles",
  "Asia/Kathmandu",
  "Australia/Lord_Howe",
  "Pacific/Kiritimati",
  "Pacific/Pago_Pago",
  "America/St_Johns",
];

describe("the clock of the house, whatever the device's own", () => {
  // Outside check: the browser's own tables of time zones (IANA), asked in another way.
  it.each(ZONES)("is that of %s through a year", (zone) => {
    inZone(zone);
    const time = new Intl.DateTimeFormat("en-GB", { timeZone: zone, hour: "2-digit", minute: "2-digit" });
    const day = new Intl.DateTimeFormat("sv-SE", { timeZone: zone, dateStyle: "short" });
    const random = seeded(14);
    for (let i = 0; i < 500; i++) {
      const at = new Date(Date.UTC(2026, 0, 1) + Math.floor(random() * 366 * 24 * 60) * 60_000);
      expect(clock(at)).toBe(time.format(at));
      expect(date(at)).toBe(day.format(at));
      expect(dayValue(at)).toBe(day.format(at));
    }
  });

  it.each(ZONES)("shows a moment of %s that was chosen by it", (zone) => {
    inZone(zone);
    const random = seeded(15);
    for (let i = 0; i < 300; i++) {
      const now = new Date(Date.UTC(2026, 0, 1) + Math.floor(random() * 366 * 24 * 60) * 60_000);
      const next = nextAt("07:30", now);
      expect(timeValue(next)).toBe("07:30");
      expect(next.getTime()).toBeGreaterThan(now.getTime());
      expect(next.getTime() - now.getTime()).toBeLessThanOrEqual(25.5 * 3600_000);
      expect(nextAt(atOn(next), now)).toEqual(next);
      expect(ofWall(wall(next))).toEqual(next);
    }
  });

  it("has its full hours on the strip, also where they are not full elsewhere", () => {
    inZone("Asia/Kathmandu");
    const from = new Date("2026-11-27T10:00:00Z");
    const hours = hoursBetween(from, new Date(from.getTime() + 6 * 3600_000), 1200, 50);
    expect(hours.length).toBeGreaterThan(4);
    for (const h of hours) expect(timeValue(h)).toMatch(/:00$/);
  });

  it("knows its own today", () => {
    inZone("Pacific/Kiritimati");
    const now = new Date("2026-11-27T11:00:00Z");
    expect(moment("2026-11-27T09:30:00Z", now)).toBe("Fri 2026-11-27, 23:30");
    expect(moment("2026-11-27T10:30:00Z", now)).toBe("00:30");
  });

  it("is the device's own until another is said", () => {
    inZone(undefined);
    const at = new Date(2026, 10, 27, 8, 5);
    expect(clock(at)).toBe("08:05");
  });
});
