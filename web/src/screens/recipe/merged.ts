import type { AdditionDocument, RecipeDocument, WrittenResponse } from "../../api/client";

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** A draft's recipe, and the line of the text that each of its herbs was read from; −1 for one by hand. */
export interface Read {
  recipe: RecipeDocument;
  from: number[];
}

/** Lines of the additions of a reading, by their index. */
export function linesOf(w: WrittenResponse): number[] {
  const from = (w.recipe.additions ?? []).map(() => -1);
  w.lines.forEach((l, i) => {
    for (const a of l.additions) from[a] = i;
  });
  return from;
}

/**
 * A text was read again after an answer: what the cook has changed by hand since stays, everything else is as it is read
 * now. Herbs are told apart by their lines.
 */
export function merged(before: WrittenResponse, now: WrittenResponse, draft: Read): Read {
  const old = before.recipe;
  const fresh = now.recipe;
  if (same(old, draft.recipe)) return { recipe: fresh, from: linesOf(now) };
  const recipe: RecipeDocument = { ...fresh };
  for (const key of Object.keys({ ...old, ...draft.recipe }) as (keyof RecipeDocument)[]) {
    if (key === "additions" || same(old[key], draft.recipe[key])) continue;
    Object.assign(recipe, { [key]: draft.recipe[key] });
  }
  return { recipe: { ...recipe, ...additions(before, now, draft) }, from: additionsFrom(before, now, draft) };
}

interface Line {
  from: number;
  addition: AdditionDocument;
}

function lines(before: WrittenResponse, now: WrittenResponse, draft: Read): Line[] {
  const beforeFrom = linesOf(before);
  const all: Line[] = [];
  const used = new Set<number>();
  (now.recipe.additions ?? []).forEach((addition, i) => {
    const line = linesOf(now)[i] ?? -1;
    const oldAt = beforeFrom.findIndex((f, j) => f === line && !used.has(j));
    if (oldAt < 0) {
      all.push({ from: line, addition });
      return;
    }
    used.add(oldAt);
    const nth = beforeFrom.slice(0, oldAt).filter((f) => f === line).length;
    const mine = draft.from.map((f, j) => (f === line ? j : -1)).filter((j) => j >= 0)[nth];
    const drafted = mine === undefined ? undefined : draft.recipe.additions?.[mine];
    if (mine === undefined) return;
    const touched = drafted && !same(drafted, before.recipe.additions?.[oldAt]);
    all.push({ from: line, addition: touched ? drafted : addition });
  });
  draft.from.forEach((f, j) => {
    const byHand = draft.recipe.additions?.[j];
    if (f < 0 && byHand) all.push({ from: -1, addition: byHand });
  });
  return all;
}

const additions = (b: WrittenResponse, n: WrittenResponse, d: Read) => ({
  additions: lines(b, n, d).map((l) => l.addition),
});
const additionsFrom = (b: WrittenResponse, n: WrittenResponse, d: Read) => lines(b, n, d).map((l) => l.from);
