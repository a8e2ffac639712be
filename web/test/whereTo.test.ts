import { describe, expect, it } from "vitest";
import type { BrewLine } from "../src/api/client";
import { goesOn, whereTo } from "../src/parts/whereTo";

const line = (phase: string) => ({ id: "b1", phase }) as BrewLine;

describe("where a line of the day leads", () => {
  it.each([
    ["running", "/brew/b1", true],
    ["planned", "/brew/b1", false],
    ["finished", "/brew/b1", false],
    ["cup", "/keeping?jar=b1", true],
  ])("%s", (phase, to, on) => {
    expect(whereTo(line(phase))).toBe(to);
    expect(goesOn(line(phase))).toBe(on);
  });
});
