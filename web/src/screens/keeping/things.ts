import type { Tin } from "../../api/client";

/** What was done to a tin last, and how it was before. */
export interface Changed {
  was: Tin;
  words: string;
}

export type Sort = "first" | "name" | "left";
export const SORTS: { value: Sort; label: string }[] = [
  { value: "first", label: "what is to be used first" },
  { value: "name", label: "by name" },
  { value: "left", label: "what runs out first" },
];

/** Where things stand, as it is said within a sentence. */
export const PLACES: Record<string, { words: string; gloss: string }> = {
  shelf: { words: "on the shelf", gloss: "closed, dry and dark" },
  counter: { words: "on the counter", gloss: "fresh, at hand" },
  water: { words: "in water", gloss: "cut branches in a glass" },
  fridge: { words: "in the fridge", gloss: "closed; what is fresh without air" },
  freezer: { words: "frozen", gloss: "juice in cubes, the rest in bags" },
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
