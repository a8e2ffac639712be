import { expect, test } from "vitest";
import { apart } from "../src/drawings/apart";

test("two ends of lines that nearly meet get room for their words, and the far one stays", () => {
  expect(apart([52, 50, 120], 17)).toEqual([67, 50, 120]);
});

test("above the ground the upper one gives way", () => {
  expect(apart([126, 128, 40], -15)).toEqual([113, 128, 40]);
});
