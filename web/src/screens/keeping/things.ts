import type { Tin } from "../../api/client";
import { say } from "../../words/say";

/** What was done to a tin last, and how it was before. */
export interface Changed {
  was: Tin;
  words: string;
}

export type Sort = "first" | "name" | "left";
export const SORTS: { value: Sort; label: string }[] = [
  { value: "first", label: say("keeping.whatIsToBeUsed") },
  { value: "name", label: say("keeping.byName") },
  { value: "left", label: say("keeping.whatRunsOutFirst") },
];

/** Where things stand, as it is said within a sentence. */
export const PLACES: Record<string, { words: string; gloss: string }> = {
  shelf: { words: say("keeping.onTheShelfWithin"), gloss: say("keeping.closedDryAndDark") },
  counter: { words: say("keeping.onTheCounter"), gloss: say("keeping.freshAtHand") },
  water: { words: say("keeping.inWater"), gloss: say("keeping.cutBranchesInAGlass") },
  fridge: { words: say("keeping.inTheFridgeWithin"), gloss: say("keeping.closedWhatIsFreshWithout") },
  freezer: { words: say("keeping.frozen"), gloss: say("keeping.juiceInCubesTheRest") },
};

/** A tin as the wire takes it, without how much is in it. */
export const asItIs = ({ herb, form, filledOn, note, place }: Tin) => ({
  herb,
  form: form as "dried",
  filledOn,
  note,
  place: place as "shelf",
});

/** Whether it is a plant that has not been dried, and does not stand in a tin. */
export const isFresh = (t: Tin): boolean => t.place !== "shelf" && t.form === "fresh";

export const share = (t: Tin) => (t.left && t.grams ? t.left.grams / t.grams : null);

/** Tins that a word fits, in an order. */
export function ordered(tins: Tin[], words: string, sort: Sort): Tin[] {
  const wanted = words.trim().toLowerCase();
  const by: Record<Sort, (a: Tin, b: Tin) => number> = {
    first: (a, b) => compared(a.bestBefore ?? "9999", b.bestBefore ?? "9999"),
    name: (a, b) => a.common.localeCompare(b.common),
    left: (a, b) => (share(a) ?? 2) - (share(b) ?? 2),
  };
  const found = (t: Tin) =>
    `${t.common} ${t.form} ${PLACES[t.place]?.words} ${t.note}`.toLowerCase().includes(wanted);
  return tins
    .filter((t) => wanted === "" || found(t))
    .sort((a, b) => by[sort](a, b) || compared(a.common, b.common));
}

const compared = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
