import { beforeAll, describe, expect, it } from "vitest";
import table from "../../core/src/test/resources/embercup/house-units.csv?raw";
import { type House, inCore, keepHouse, onScale, type Quantity, type ScaleLine } from "../src/api/house";
import {
  clock,
  clockOf,
  date,
  day,
  fullDate,
  grams,
  hour,
  moment,
  range,
  shownBy,
  timer,
  timeValue,
} from "../src/parts/say";

// Grains and factors come from the server; these are the ones it sends, so that the table of the core is walked here too.
const OWN: Record<string, ScaleLine> = {
  "°C": scale("°C", 1, 1, 0, [[0, 1]]),
  g: scale("g", 1, 1, 0, [
    [0, 0.01],
    [1, 0.1],
    [20, 1],
  ]),
  mL: scale("mL", 1, 1, 0, [
    [0, 1],
    [100, 5],
  ]),
  kg: scale("kg", 1, 1, 0, [[0, 0.5]]),
  cm: scale("cm", 1, 1, 0, [[0, 0.1]]),
  m: scale("m", 1, 1, 0, [[0, 1]]),
};
const FL_OZ: [number, number][] = [
  [0, 0.01],
  [1, 0.1],
  [20, 0.5],
];
const OTHER: Record<string, ScaleLine> = {
  "°C": scale("°F", 5, 9, 32, [[0, 1]]),
  g: scale("oz", 28.349523, 1, 0, [
    [0, 0.01],
    [10, 0.1],
  ]),
  kg: scale("lb", 0.45359237, 1, 0, [[0, 1]]),
  cm: { ...scale("in", 2.54, 1, 0, [[0, 0.125]]), eighths: true },
  m: scale("ft", 0.3048, 1, 0, [[0, 1]]),
};
const OUNCE: Record<string, number> = { us: 29.57353, metric: 29.57353, imperial: 28.413063 };

function scale(
  unit: string,
  each: number,
  units: number,
  atZero: number,
  grains: [number, number][],
): ScaleLine {
  return {
    unit,
    each,
    units,
    atZero,
    grains: grains.map(([from, step]) => ({ from, step })),
    eighths: false,
  };
}

function house(hours: "twelve" | "twenty-four", dates: string): House {
  const scales = { temperature: "°C", mass: "g", bodyWeight: "kg", volume: "mL", length: "cm", height: "m" };
  return {
    units: { hours, dates } as House["units"],
    scales: Object.fromEntries(Object.entries(scales).map(([of, u]) => [of, OWN[u]])) as Record<
      Quantity,
      ScaleLine
    >,
  };
}

describe("a number of the core as the house reads it", () => {
  const cases = table
    .split("\n")
    .filter((l) => l && !l.startsWith("#"))
    .map((l) => l.split(";") as [string, string, string, string]);

  it.each<string[]>(cases)("%s: %s %s is %s", (of = "", value = "", unit = "", said = "") => {
    const s =
      of === "core" ? OWN[unit] : unit === "mL" ? scale("fl oz", OUNCE[of] ?? 0, 1, 0, FL_OZ) : OTHER[unit];
    if (!s) throw new Error(unit);
    expect(`${shownBy(s, Number(value))} ${s.unit}`).toBe(said);
  });

  it("gives the core what is typed in the house's unit", () => {
    const warm = OTHER["°C"] as ScaleLine;
    expect(inCore(warm, 185)).toBeCloseTo(85, 9);
    expect(onScale(warm, inCore(warm, 104))).toBeCloseTo(104, 9);
  });
});

describe("times and dates", () => {
  const evening = new Date(2026, 10, 26, 21, 5);
  const midnight = new Date(2026, 0, 3, 0, 30);

  it("says them the European way", () => {
    keepHouse(house("twenty-four", "day-month"));
    expect([clock(evening), hour(evening), date(evening), day(evening), fullDate(evening)]).toEqual([
      "21:05",
      "21",
      "26 Nov",
      "Thu 26 Nov",
      "26 Nov 2026",
    ]);
  });

  it("says them the American way", () => {
    keepHouse(house("twelve", "month-day"));
    expect([clock(evening), clock(midnight), hour(evening), day(evening), fullDate(evening)]).toEqual([
      "9:05 pm",
      "12:30 am",
      "9 pm",
      "Thu Nov 26",
      "Nov 26, 2026",
    ]);
    expect(clockOf("12:00")).toBe("12:00 pm");
  });

  it("says them by the standard, and a control always gets the day's own time", () => {
    keepHouse(house("twelve", "year-month-day"));
    expect([day(midnight), fullDate(midnight)]).toEqual(["Sat 2026-01-03", "2026-01-03"]);
    expect(timeValue(evening)).toBe("21:05");
  });
});

describe("long brews", () => {
  beforeAll(() => keepHouse(house("twenty-four", "day-month")));
  const now = new Date(2026, 10, 26, 21, 5);

  it("says a moment of another day with its day", () => {
    expect(moment(new Date(2026, 10, 26, 23, 55), now)).toBe("23:55");
    expect(moment(new Date(2026, 10, 27, 7, 30), now)).toBe("Fri 27 Nov, 07:30");
    expect(moment(new Date(2026, 11, 31, 9, 0), now)).toBe("Thu 31 Dec, 09:00");
  });

  it("counts a spirit of five weeks in days, and never in what is no number", () => {
    expect(timer(35 * 86_400 - 1)).toBe("34 days 23 h");
    expect(timer(-3 * 86_400)).toBe("+3 days 0 h");
    expect(timer(47 * 3600)).toBe("47:00:00");
    expect(timer(90)).toBe("1:30");
    expect(timer(Number.NaN)).toBe("–");
  });
});

describe("ranges", () => {
  beforeAll(() => keepHouse(house("twenty-four", "day-month")));

  it("says one number where both ends are said alike", () => {
    expect(range("mass", 7.8, 16.2)).toBe("7.8–16.2 g");
    expect(range("mass", 2, 2.01)).toBe("2.0 g");
    expect(grams(0.254)).toBe("0.25 g");
  });
});
