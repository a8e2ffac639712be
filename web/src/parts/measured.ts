import type { AdditionLine } from "../api/client";

/** What is measured out at once: a herb, or a blend of the house with the herbs of it. */
export interface Out {
  /** Index of the herb, or of the first herb of the blend, among the plan's. */
  index: number;
  /** Index of the line in the recipe as it is written. */
  line: number;
  /** What the order changes when it is changed. */
  slug: string;
  name: string;
  /** Key of the figure that says why it is so much. */
  figure: string;
  /** Amounts, words and what stands beside: of the whole blend, where it is one. */
  amounts: Amounts;
  /** The herb, or the first of the blend: where it goes and how it is got ready. */
  lead: AdditionLine;
  /** Herbs of the blend; none for a herb by itself. */
  herbs: { index: number; addition: AdditionLine }[];
}

type Amounts = Pick<
  AdditionLine,
  | "grams"
  | "lowG"
  | "highG"
  | "perCupG"
  | "weigh"
  | "measure"
  | "measureTo"
  | "usualLowG"
  | "usualHighG"
  | "usualG"
  | "usualAsWrittenG"
  | "usualSide"
  | "optional"
  | "or"
>;

/** What the cook takes in hand, in the order of the recipe: a blend once, with all its herbs. */
export function measuredOut(additions: AdditionLine[]): Out[] {
  const all: Out[] = [];
  additions.forEach((a, index) => {
    const line = a.line ?? index;
    const before = all.at(-1);
    if (a.blend && !a.blend.leads && before) {
      before.herbs.push({ index, addition: a });
      return;
    }
    all.push({
      index,
      line,
      slug: a.blend?.slug ?? a.herb,
      name: a.blend?.name ?? a.common,
      figure: a.blend ? `blends.${line}.grams` : `additions.${index}.grams`,
      amounts: a.blend ?? a,
      lead: a,
      herbs: a.blend ? [{ index, addition: a }] : [],
    });
  });
  return all;
}
