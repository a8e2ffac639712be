import { describe, expect, it } from "vitest";
import type { Tin } from "../src/api/client";
import { isFresh, ordered } from "../src/screens/keeping/things";

const tin = (common: string, more: Partial<Tin>): Tin => ({
  id: common,
  version: 0,
  herb: common,
  common,
  form: "dried",
  filledOn: "2026-06-01",
  note: "",
  place: "shelf",
  places: ["shelf"],
  stale: false,
  going: false,
  why: "",
  ...more,
});

describe("things of the house in a list", () => {
  const sage = tin("Sage", {
    bestBefore: "2027-01-01",
    grams: 40,
    left: { grams: 30, lowG: 30, highG: 30, brews: 1 },
  });
  const ginger = tin("Ginger", {
    form: "fresh",
    place: "fridge",
    bestBefore: "2026-12-01",
    note: "from the market",
  });
  const rosemary = tin("Rosemary", { form: "fresh", place: "water" });
  const mint = tin("Mint", {
    bestBefore: "2027-06-01",
    grams: 50,
    left: { grams: 5, lowG: 4, highG: 6, brews: 3 },
  });
  const all = [sage, ginger, rosemary, mint];
  const names = (tins: Tin[]) => tins.map((t) => t.common);

  it("what is to be used first stands first, and what keeps stands last", () => {
    expect(names(ordered(all, "", "first"))).toEqual(["Ginger", "Sage", "Mint", "Rosemary"]);
  });
  it("what runs out first", () => {
    expect(names(ordered(all, "", "left")).slice(0, 2)).toEqual(["Mint", "Sage"]);
  });
  it.each([
    ["sage", ["Sage"]],
    ["MARKET", ["Ginger"]],
    ["in water", ["Rosemary"]],
    ["fresh", ["Ginger", "Rosemary"]],
    ["nothing of it", []],
  ])("found by %s", (words, found) => {
    expect(names(ordered(all, words, "first"))).toEqual(found);
  });
  it("a thing of the larder is not fresh because it is not dried", () => {
    expect(isFresh(tin("Honey", { form: "fresh", place: "shelf" }))).toBe(false);
    expect(isFresh(ginger)).toBe(true);
  });
});
