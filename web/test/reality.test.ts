import { describe, expect, it } from "vitest";
import type { BrewResponse } from "../src/api/client";
import { ofStage, powerOf } from "../src/api/steps";
import { stateAt } from "../src/drawings/curve";
import { lateBy, later, poured, reality, served } from "../src/screens/live/reality";

const START = Date.parse("2026-11-25T20:00:00Z");
const at = (s: number) => new Date(START + s * 1000).toISOString();

const said = (key: string, startS: number, durationS: number, handsOn: boolean) => ({
  key,
  label: key,
  startS,
  durationS,
  handsOn,
  confirm: "Done",
  aside: false,
});

/** Prep, heat, simmer and strain; the heat was a minute late, the simmer goes on. */
function brew(): BrewResponse {
  const steps = [
    { ...said("prep.0", 0, 60, true), kind: "prep" as const, addition: 0 },
    { ...said("s0", 60, 240, false), kind: "heat" as const, stage: 0, powerW: 0, lid: true, ripens: false },
    {
      ...said("s1", 300, 1200, false),
      kind: "simmer" as const,
      stage: 1,
      powerW: 250,
      lid: true,
      ripens: true,
    },
    { ...said("s2", 1500, 90, true), kind: "strain" as const, stage: 2, lid: true },
  ];
  return {
    startedAt: at(0),
    nowKey: "s1",
    plan: {
      steps,
      stageStartS: 60,
      totalS: 1590,
      startAt: at(0),
      mug: { name: "mug" },
      vessel: {},
      servedKey: "s2",
    },
    steps: [
      { key: "prep.0", doneAt: at(60), dueAt: at(60) },
      { key: "s0", doneAt: at(360), dueAt: at(360) },
      { key: "s1", dueAt: at(1560) },
      { key: "s2", dueAt: at(1650) },
    ],
    predictedSteps: steps.map(({ key, startS, durationS }) => ({ key, startS, durationS })),
    predictedCurve: [
      { tS: 60, tempC: 15, waterMl: 500, body: 0, aroma: 0, bite: 0 },
      { tS: 1590, tempC: 90, waterMl: 420, body: 1, aroma: 0.5, bite: 0.5 },
    ],
    events: [],
  } as unknown as BrewResponse;
}

describe("a brew laid on the real clock", () => {
  it("stands where it was, and goes on from there", () => {
    const { steps, totalS } = reality(brew(), 0);
    expect(steps.map((s) => [s.key, s.startS, s.durationS])).toEqual([
      ["prep.0", 0, 60],
      ["s0", 60, 300],
      ["s1", 360, 1200],
      ["s2", 1560, 90],
    ]);
    expect(totalS).toBe(1650);
  });

  it("moves what follows a step that is over and not confirmed", () => {
    const { steps } = reality(brew(), 100);
    expect(steps.find((s) => s.key === "s1")?.durationS).toBe(1300);
    expect(steps.find((s) => s.key === "s2")?.startS).toBe(1660);
  });

  it("is cut where a hand turned the flame", () => {
    const turned = brew();
    turned.events = [
      { id: "e", at: at(660), kind: "turned", turn: "flame-high", powerW: 1200, text: "high flame" },
      { id: "f", at: at(900), kind: "turned", turn: "lid-off", lid: false, text: "lid off" },
    ] as BrewResponse["events"];
    const pieces = reality(turned, 0)
      .steps.filter(ofStage)
      .filter((s) => s.key.startsWith("s1"));
    expect(pieces.map((p) => [p.startS, p.durationS, powerOf(p), p.lid])).toEqual([
      [360, 300, 250, true],
      [660, 240, 1200, true],
      [900, 660, 1200, false],
    ]);
  });

  it("is in the mugs when the server's step for it is done", () => {
    const b = brew();
    expect(served(b)).toBeUndefined();
    const strained = b.steps.map((s) => (s.key === "s2" ? { ...s, doneAt: at(1650) } : s));
    expect(served({ ...b, steps: strained })?.vessel).toEqual({ name: "mug" });
    expect(poured(b), "a pot has no pour to wait for").toBe(true);
  });
});

describe("the state at a moment", () => {
  const curve = brew().predictedCurve;
  it("is mixed between two samples and never beyond them", () => {
    const half = stateAt(curve, 825);
    expect(half?.tempC).toBeCloseTo(52.5, 6);
    expect(half?.waterMl).toBeCloseTo(460, 6);
    expect(stateAt(curve, -5)).toEqual(curve[0]);
    expect(stateAt(curve, 9_999)).toEqual(curve[1]);
    expect(stateAt([], 10)).toBeUndefined();
  });
});

describe("a step that is over and not confirmed", () => {
  it("moves what comes after it, and nothing is ahead of the plan meanwhile", () => {
    expect(lateBy(-420, 600)).toBe(180);
    expect(later(new Date("2026-12-01T18:00:00Z"), 600).toISOString()).toBe("2026-12-01T18:10:00.000Z");
  });
});
