import { describe, expect, it } from "vitest";
import type { BrewResponse, RecipeDocument } from "../src/api/client";
import { asNoted, sameOrder, secondOrder } from "../src/screens/live/again";
import type { Order } from "../src/screens/sheet/order";

const KEPT: RecipeDocument = {
  name: "Peel pot",
  cups: 2,
  cupMl: 240,
  additions: [
    { herb: "liquorice", amount: 2, unit: "g", stage: 0 },
    { herb: "orange-peel", amount: 3, unit: "g", stage: 0 },
    { herb: "lemon-peel", amount: 1, unit: "tsp", stage: 0 },
  ],
  stages: [
    { kind: "heat" },
    { kind: "simmer", minutes: 20, lid: true },
    { kind: "rest", minutes: 5 },
    { kind: "strain" },
  ],
};
const NAMED = [
  { herb: "liquorice", name: "Liquorice root" },
  { herb: "orange-peel", name: "Orange peel" },
  { herb: "lemon-peel", name: "Lemon peel" },
];
const PLAIN: Order = { purpose: "everyday", changes: [], schools: {}, tweaks: [], spent: false, others: [] };
const minutes = (stage: number, value: number) => ({ tweaks: [{ stage, part: "minutes" as const, value }] });
const share = (herb: string, of?: number) => ({
  changes: [of === undefined ? { herb } : { herb, share: of }],
});

describe("what a note wants changed", () => {
  // What somebody writes, what the sheet does of it, and what it leaves to the cook, word for word.
  const table: [string, Partial<Order>, string[]][] = [
    ["half the liquorice", share("liquorice", 0.5), []],
    ["Half the Liquorice root.", share("liquorice", 0.5), []],
    ["a third less orange peel", share("orange-peel", 0.667), []],
    ["twice the lemon", share("lemon-peel", 2), []],
    ["a quarter more liquorice", share("liquorice", 1.25), []],
    ["without the lemon peel", share("lemon-peel"), []],
    ["leave the liquorice out", share("liquorice"), []],
    ["5 min longer", minutes(1, 25), []],
    ["ten minutes shorter", minutes(1, 10), []],
    ["simmer 12 minutes", minutes(1, 12), []],
    ["rest for 8 min", minutes(2, 8), []],
    ["keep to 15 minutes", minutes(1, 15), []],
    ["stronger", { strength: "strong" }, []],
    ["a little weaker", { strength: "gentle" }, []],
    ["only one cup", { cups: 1 }, []],
    ["half the liquorice; 5 min longer", { ...share("liquorice", 0.5), ...minutes(1, 25) }, []],
    ["half the liquorice, a spoon of honey", share("liquorice", 0.5), ["a spoon of honey"]],
    // What could be meant of two, or of none, is not guessed.
    ["half the peel", {}, ["half the peel"]],
    ["without the ginger", {}, ["without the ginger"]],
    ["a little more bark", {}, ["a little more bark"]],
    ["30 minutes shorter", {}, ["30 minutes shorter"]],
    ["steep 4 minutes", {}, ["steep 4 minutes"]],
    ["leave it the full eight hours", {}, ["leave it the full eight hours"]],
  ];
  it.each(table)("%s", (text, change, left) => {
    const noted = asNoted(text, PLAIN, KEPT, NAMED);
    expect(noted.order).toEqual({ ...PLAIN, ...change });
    expect(noted.left).toEqual(left);
  });

  it("goes on from what the brew itself had changed", () => {
    const before: Order = {
      ...PLAIN,
      strength: "strong",
      changes: [{ herb: "liquorice", share: 0.5 }],
      ...minutes(1, 30),
    } as Order;
    const noted = asNoted("half the liquorice; 5 min longer; weaker", before, KEPT, NAMED);
    expect(noted.order.changes).toEqual([{ herb: "liquorice", share: 0.25 }]);
    expect(noted.order.tweaks).toEqual([{ stage: 1, part: "minutes", value: 35 }]);
    expect(noted.order.strength).toBe("standard");
  });
});

describe("the same order", () => {
  it("keeps who, in what, and what was moved and changed in the recipe", () => {
    const brew = {
      drinkerId: "d",
      vesselId: "v",
      burnerId: "b",
      request: {
        cups: 3,
        cupMl: 200,
        strength: "gentle",
        purpose: "tonic",
        recipe: {
          ...KEPT,
          additions: [
            { herb: "liquorice", amount: 1, unit: "g", stage: 0 },
            { herb: "lemon-peel", amount: 1, unit: "tsp", stage: 0 },
          ],
          stages: [
            { kind: "heat" },
            { kind: "simmer", minutes: 28, lid: false },
            { kind: "rest", minutes: 5 },
            { kind: "strain" },
            { kind: "cool", toC: 40 },
            { kind: "finish" },
          ],
        },
      },
    } as unknown as BrewResponse;
    expect(sameOrder(brew, KEPT)).toMatchObject({
      cups: 3,
      cupMl: 200,
      strength: "gentle",
      purpose: "tonic",
      drinkerId: "d",
      vesselId: "v",
      burnerId: "b",
      changes: [{ herb: "liquorice", share: 0.5 }, { herb: "orange-peel" }],
      tweaks: [
        { stage: 1, part: "minutes", value: 28 },
        { stage: 1, part: "lid", value: 0 },
      ],
    });
  });

  it("keeps what stood in for another, in the next brew and in the second one", () => {
    const brewed = (additions: unknown[]) =>
      ({ id: "b1", request: { recipe: { ...KEPT, additions } } }) as unknown as BrewResponse;
    const swapped = brewed([
      { herb: "fennel", amount: 1, unit: "g", stage: 0 },
      { herb: "orange-peel", amount: 3, unit: "g", stage: 0 },
      { herb: "lemon-peel", amount: 1, unit: "tsp", stage: 0 },
    ]);
    expect(sameOrder(swapped, KEPT).changes).toEqual([{ herb: "liquorice", with: "fennel" }]);
    expect(secondOrder(swapped, KEPT)).toMatchObject({
      spent: true,
      after: "b1",
      changes: [{ herb: "liquorice", with: "fennel" }],
    });
    const fewer = brewed([
      { herb: "fennel", amount: 1, unit: "g", stage: 0 },
      { herb: "lemon-peel", amount: 1, unit: "tsp", stage: 0 },
    ]);
    expect(sameOrder(fewer, KEPT).changes).toEqual([
      { herb: "liquorice", with: "fennel" },
      { herb: "orange-peel" },
    ]);
  });
});
