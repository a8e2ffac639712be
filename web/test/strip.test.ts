import { describe, expect, it } from "vitest";
import type { BrewLine } from "../src/api/client";
import { type House, keepHouse } from "../src/api/house";
import { hoursBetween, inLanes, reach } from "../src/parts/strip";

keepHouse({ units: { hours: "twenty-four", dates: "day-month" }, scales: {} } as unknown as House);

const NOW = new Date(2026, 10, 26, 20, 10);
const at = (h: number) => new Date(NOW.getTime() + h * 3600_000).toISOString();
const brew = (name: string, from: number, to: number, phase = "running", due?: number): BrewLine => ({
  id: name,
  name,
  drinkerName: "",
  cups: 1,
  phase,
  startAt: at(from),
  readyAt: at(to),
  dueAt: due === undefined ? undefined : at(due),
  stretches: [],
  unreadable: false,
});
const x = (d: Date) => ((d.getTime() - NOW.getTime()) / 3600_000 + 1) * 120;

describe("how far the strip goes", () => {
  it.each<[string, BrewLine[], number, number]>([
    ["nothing on the fire: some hours", [], -1.2, 5.1],
    ["as far as something is on the fire", [brew("jar", -1, 9)], -1.2, 9.5],
    ["as far as something is planned", [brew("night", 10, 18, "planned")], -1.2, 18.5],
    ["never further than two days", [brew("night", 30, 46.8, "planned")], -1.2, 46.9],
    ["not for what stands for weeks", [brew("spirit", -1, 800)], -1.2, 5.1],
    ["what stands for weeks beside the rest", [brew("spirit", -1, 800), brew("jar", -1, 9)], -1.2, 9.5],
  ])("%s", (_, open, from, to) => {
    const [a, b] = reach(open, NOW);
    expect((a.getTime() - NOW.getTime()) / 3600_000).toBeCloseTo(from, 0);
    expect((b.getTime() - NOW.getTime()) / 3600_000).toBeCloseTo(to, 0);
  });
});

describe("the lanes of the strip", () => {
  it("never lays a bar or its words over another's", () => {
    const all = [
      brew("Caraway and anise cup", 0, 0.3, "running", 0.2),
      brew("Rosehip simmer", -0.2, 0.6, "running", 0.5),
      brew("Linden evening cup", 2.5, 3, "planned"),
    ];
    const { marks, more } = inLanes(all, x, 1200, NOW, 3);
    expect(more).toEqual([]);
    for (const a of marks)
      for (const b of marks) {
        if (a === b || a.lane !== b.lane) continue;
        const apart = Math.max(a.toX, a.labelX + a.words.length * 6.9) <= Math.min(b.fromX, b.labelX);
        const other = Math.max(b.toX, b.labelX + b.words.length * 6.9) <= Math.min(a.fromX, a.labelX);
        expect(apart || other).toBe(true);
      }
    expect(marks.map((m) => m.lane)).toEqual([0, 1, 0]);
  });

  it("keeps words over their own bar, but for the edge", () => {
    const { marks } = inLanes(
      [brew("Long jar of nettle and oat straw", -4, 1, "running", 1)],
      x,
      1200,
      NOW,
      3,
    );
    expect(marks[0]?.labelX).toBe(0);
    expect(marks[0]?.fromX).toBe(0);
    expect(marks[0]?.words).toBe("Long jar of nettle and …, 1 h left");
  });

  it("says how many more there are than lanes, the least urgent of them, and no finished one", () => {
    const all = ["a", "b", "c", "d"].map((n, i) =>
      brew(`Pot ${n} of the evening`, 0, 1, "running", 0.9 - i / 10),
    );
    const { marks, more } = inLanes([...all, brew("done", 0, 0.5, "finished")], x, 1200, NOW, 2);
    expect(marks.map((m) => m.brew.name)).toEqual(["Pot d of the evening", "Pot c of the evening"]);
    expect(more.map((b) => b.name)).toEqual(["Pot b of the evening", "Pot a of the evening"]);
  });
});

describe("the hours named on the strip", () => {
  it.each<[number, number, number]>([
    [6, 1200, 1],
    [6, 330, 2],
    [24, 1200, 2],
    [24, 330, 6],
    [48, 330, 12],
  ])("%i hours on %i px: every %i", (hours, width, step) => {
    const from = new Date(2026, 10, 26, 19, 0);
    const all = hoursBetween(from, new Date(from.getTime() + hours * 3600_000), width, 64);
    expect(all.length).toBeGreaterThan(1);
    expect(((all[1]?.getTime() ?? 0) - (all[0]?.getTime() ?? 0)) / 3600_000).toBe(step);
    expect(all.every((h) => h.getHours() % step === 0)).toBe(true);
  });
});
