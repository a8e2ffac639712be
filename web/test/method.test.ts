import { expect, test } from "vitest";
import {
  asKind,
  hangsOn,
  joined,
  movedTo,
  nameOf,
  saidLine,
  withoutLine,
  withoutStage,
} from "../src/screens/recipe/doc";

const POT = {
  name: "Pot",
  stages: [
    { kind: "heat" as const },
    { kind: "simmer" as const, minutes: 10, minutesTo: 15, lid: true },
    { kind: "simmer" as const, minutes: 20 },
    { kind: "rest" as const, minutes: 5 },
    { kind: "strain" as const },
  ],
  additions: [
    { herb: "burdock", stage: 0 },
    { herb: "ginger", stage: 2 },
    { herb: "orange-peel", stage: 3 },
  ],
};

test("two simmers joined are one as long as both, and what goes in later still does", () => {
  const one = joined(POT, 1);
  expect(one.stages?.map((s) => s.kind)).toEqual(["heat", "simmer", "rest", "strain"]);
  expect(one.stages?.[1]).toEqual({ kind: "simmer", minutes: 30, minutesTo: 35, lid: true });
  expect(
    one.additions?.map((a) => a.stage),
    "ginger goes in with the joined simmer",
  ).toEqual([0, 1, 2]);
});

test("stages of two kinds are not joined", () => {
  expect(joined(POT, 2)).toBe(POT);
});

test.each([
  [3, 1, ["heat", "rest", "simmer", "simmer", "strain"]],
  [1, 3, ["heat", "simmer", "rest", "simmer", "strain"]],
])("a stage moved from %i to %i takes its herbs along", (from, to, kinds) => {
  const moved = movedTo(POT, from, to);
  expect(moved.stages?.map((s) => s.kind)).toEqual(kinds);
  const peel = moved.additions?.[2]?.stage ?? -1;
  expect(moved.stages?.[peel]?.kind, "the peel still goes in at the rest").toBe("rest");
});

const USUAL = {
  herb: "ginger",
  form: "dried" as const,
  cut: "ground" as const,
  amount: 2.8,
  unit: "g",
  stage: 0,
};

test("what is typed to find a herb says its form, cut and amount", () => {
  const read = { herb: "ginger", form: "fresh" as const, cut: "sliced" as const, amount: 1, unit: "in" };
  expect(saidLine([read], "1 inch fresh ginger", USUAL)).toEqual({ ...read, stage: 0 });
});

test("an amount that was not said is the usual one of the line", () => {
  const read = { herb: "ginger", form: "dried" as const, cut: "chopped" as const, amount: 1.4, unit: "g" };
  expect(saidLine([read], "chopped ginger", USUAL)).toMatchObject({ cut: "chopped", amount: 2.8, unit: "g" });
});

test("another herb than the one that was picked is not taken", () => {
  expect(saidLine([{ herb: "turmeric" }], "ginger or turmeric", USUAL)).toBe(USUAL);
  expect(saidLine([], "the good root", USUAL)).toBe(USUAL);
});

test("a recipe that nobody named is called by its herbs", () => {
  const herbs = [
    { slug: "ginger", named: "ginger" },
    { slug: "st-johns-wort", named: "St John’s wort" },
  ] as Parameters<typeof nameOf>[1];
  expect(nameOf([{ herb: "ginger" }, { herb: "ginger" }], herbs)).toBe("Ginger");
  expect(nameOf([{ herb: "ginger" }, { herb: "st-johns-wort" }], herbs)).toBe("Ginger and St John’s wort");
  expect(nameOf([], herbs)).toBe("");
});

test.each([
  ["simmer", "boil", { minutes: 10, minutesTo: 15, lid: true, sign: "soft" }],
  ["simmer", "hold", { minutes: 10, minutesTo: 15, lid: true, sign: "soft", toC: 85 }],
  ["simmer", "steep", { minutes: 10, minutesTo: 15, lid: true, sign: "soft", flame: undefined }],
  ["simmer", "strain", { minutes: undefined, lid: undefined }],
  ["simmer", "reduce", { minutes: undefined, lid: true, toMl: 480 }],
])("a %s that becomes a %s keeps what both say", (from, to, kept) => {
  const was = {
    kind: from as "simmer",
    minutes: 10,
    minutesTo: 15,
    lid: true,
    sign: "soft",
    flame: "low" as const,
  };
  expect(asKind(was, to)).toMatchObject({ kind: to, ...kept });
});

test("cautions go with their stage and their herb, and a herb taken out leaves its words", () => {
  const told = [
    { text: "It foams.", about: "step" as const, stage: 2 },
    { text: "Wear gloves.", about: "herb" as const, herb: "ginger" },
  ];
  expect(withoutStage({ ...POT, told }, 0).told?.[0]?.stage).toBe(1);
  expect(movedTo({ ...POT, told }, 2, 3).told?.[0]?.stage).toBe(3);
  expect(withoutLine({ ...POT, told }, 1).told?.[1]).toEqual({ text: "Wear gloves.", about: "taking" });
  expect(withoutLine({ ...POT, told }, 0).told?.[1]?.herb).toBe("ginger");
});

test("the herbs of a stage that is taken out go where the cook says", () => {
  const stageOf = (herb: string, to?: number) =>
    withoutStage(POT, 2, to).additions?.find((a) => a.herb === herb)?.stage;
  expect(hangsOn(POT, 2)).toBe(true);
  expect(hangsOn(POT, 1)).toBe(false);
  expect(stageOf("ginger"), "unasked, with what follows").toBe(2);
  expect(stageOf("ginger", 1), "an earlier one").toBe(1);
  expect(stageOf("ginger", 4), "a later one, which moves up").toBe(3);
  expect(stageOf("burdock", 4), "what goes in elsewhere stays there").toBe(0);
});
