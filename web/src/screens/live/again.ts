import type { BrewResponse, RecipeDocument } from "../../api/client";
import { traitsOf } from "../../api/stages";
import { atOn } from "../sheet/at";
import type { Change, Order, Strength, Tweak } from "../sheet/order";

/** Two amounts that differ by less are the same. */
const SAME = 0.005;

/** The order that a brew was made by: who, in what, how much, how strong, and what it changed in the recipe as it is kept. */
export function sameOrder(brew: BrewResponse, kept: RecipeDocument | undefined): Order {
  const { cups, cupMl, strength, purpose, recipe: brewed } = brew.request;
  return {
    cups,
    cupMl,
    strength: strength as Strength | undefined,
    purpose: (purpose as Order["purpose"]) ?? "everyday",
    drinkerId: brew.drinkerId ?? undefined,
    vesselId: brew.vesselId ?? undefined,
    burnerId: brew.burnerId ?? undefined,
    changes: kept && brewed ? herbsChanged(kept, brewed) : [],
    schools: {},
    tweaks: kept && brewed ? stagesMoved(kept, brewed) : [],
    others: [],
    spent: brew.request.spentHerbs ?? false,
  };
}

/** A brew that waits, to be moved or changed: the same order at its time, in its place. */
export function movedOrder(brew: BrewResponse, kept: RecipeDocument | undefined): Order {
  return { ...sameOrder(brew, kept), at: atOn(new Date(brew.plan.readyAt)), instead: brew.id };
}

/** The same herbs once more, brewed and strained: with whatever stood in for another, and without what was left out. */
export const secondOrder = (brew: BrewResponse, kept: RecipeDocument | undefined): Order => ({
  ...sameOrder(brew, kept),
  spent: true,
  after: brew.id,
});

/**
 * Herbs that were left out, that went in in another amount of the same unit, or for which another stood in: that one has the place of
 * the first, and where others were left out it is the next that is new.
 */
function herbsChanged(kept: RecipeDocument, brewed: RecipeDocument): Change[] {
  const were = kept.additions ?? [];
  const are = brewed.additions ?? [];
  const gone = were.filter((w) => !are.some((a) => a.herb === w.herb));
  const came = are.filter((a) => !were.some((w) => w.herb === a.herb));
  return were.flatMap((was, i): Change[] => {
    const same = are.find((a) => a.herb === was.herb);
    if (!was.herb) return [];
    if (!same) {
      const inPlace = are.length === were.length ? are[i] : came[gone.indexOf(was)];
      const stoodIn = came.includes(inPlace as (typeof came)[number]) ? inPlace : undefined;
      return [stoodIn?.herb ? { herb: was.herb, with: stoodIn.herb } : { herb: was.herb }];
    }
    const times = (same.amount ?? 0) / (was.amount || 1);
    return same.unit === was.unit && was.unit !== "part" && Math.abs(times - 1) > SAME
      ? [{ herb: was.herb, share: Math.round(times * 1000) / 1000 }]
      : [];
  });
}

/** Stages that were stretched, or whose lid was moved; what a cup waits for comes after the recipe's own. */
function stagesMoved(kept: RecipeDocument, brewed: RecipeDocument): Tweak[] {
  const [was, is] = [kept.stages ?? [], brewed.stages ?? []];
  if (was.some((s, i) => is[i]?.kind !== s.kind)) return [];
  return was.flatMap((s, i): Tweak[] => {
    const now = is[i];
    const all: Tweak[] = [];
    if (now?.minutes !== undefined && now.minutes !== s.minutes)
      all.push({ stage: i, part: "minutes", value: now.minutes });
    if (now?.toMl !== undefined && now.toMl !== s.toMl) all.push({ stage: i, part: "toMl", value: now.toMl });
    if (now && (now.lid ?? false) !== (s.lid ?? false))
      all.push({ stage: i, part: "lid", value: now.lid ? 1 : 0 });
    return all;
  });
}

/** What a note wants changed, as far as the sheet can do it, and what is left to the cook. */
export interface Noted {
  order: Order;
  done: string[];
  left: string[];
}

const NUMBERS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, ten: 10 };
const numberOf = (text: string) => NUMBERS[text] ?? Number(text.replace(",", "."));
const NUMBER = "(\\d+(?:[.,]\\d+)?|an?|one|two|three|four|five|ten)";

/** How much of a herb somebody wants who says so. */
const SHARES: [RegExp, number][] = [
  [/^(?:only )?half (?:of )?(?:the |as much )?(.+)$/, 0.5],
  [/^(?:a )?third less (?:of )?(?:the )?(.+)$/, 2 / 3],
  [/^(?:a )?quarter less (?:of )?(?:the )?(.+)$/, 0.75],
  [/^(?:twice|double) (?:the |as much )?(.+)$/, 2],
  [/^half as much again (?:of )?(?:the )?(.+)$/, 1.5],
  [/^(?:a )?third more (?:of )?(?:the )?(.+)$/, 4 / 3],
  [/^(?:a )?quarter more (?:of )?(?:the )?(.+)$/, 1.25],
];
const WITHOUT = /^(?:without|no|leave out|leave) (?:the |any )?(.+?)(?: out)?$/;
const LONGER = new RegExp(`^${NUMBER} ?min(?:utes?)? (longer|more|shorter|less)$`);
const FOR = new RegExp(
  `^(?:let it )?(steep|simmer|boil|rest|infuse)(?: for)?(?: only)? ${NUMBER} ?min(?:utes?)?$`,
);
const KEEP_TO = new RegExp(`^(?:keep (?:it )?to|only) ${NUMBER} ?min(?:utes?)?$`);
const CUPS = new RegExp(`^(?:make |only )?${NUMBER} cups?$`);

/**
 * The order with what a note says for the next time: less, more or none of a herb of it, minutes more or less, stronger or
 * weaker, another number of cups. Whatever else it says stays with the cook, word for word.
 *
 * @param named the herbs of the recipe by what they are called
 */
export function asNoted(
  text: string,
  order: Order,
  kept: RecipeDocument,
  named: { herb: string; name: string }[],
): Noted {
  const noted: Noted = { order, done: [], left: [] };
  const clauses = text
    .split(/[;.\n]|,(?!\d)| and (?!a half)/)
    .map((c) => c.trim())
    .filter(Boolean);
  for (const clause of clauses) {
    const next = applied(clause.toLowerCase(), noted.order, kept, named);
    if (next) noted.order = next;
    (next ? noted.done : noted.left).push(clause);
  }
  return noted;
}

function applied(
  clause: string,
  order: Order,
  kept: RecipeDocument,
  named: { herb: string; name: string }[],
): Order | undefined {
  for (const [pattern, share] of SHARES) {
    const said = pattern.exec(clause)?.[1];
    const herb = said && herbOf(said, named);
    if (herb) return withChange(order, { herb, share: round(share * (shareOf(order, herb) ?? 1)) });
  }
  const without = WITHOUT.exec(clause)?.[1];
  const gone = without && herbOf(without, named);
  if (gone && named.length > 1) return withChange(order, { herb: gone });
  const longer = LONGER.exec(clause);
  const stages = kept.stages ?? [];
  if (longer) {
    const at = longest(stages);
    const by = numberOf(longer[1] ?? "") * (longer[2] === "longer" || longer[2] === "more" ? 1 : -1);
    const now = at < 0 ? 0 : minutesOf(order, stages, at) + by;
    return at >= 0 && now > 0 ? withTweak(order, { stage: at, part: "minutes", value: now }) : undefined;
  }
  const minutes = FOR.exec(clause);
  if (minutes) {
    const kind = minutes[1] === "infuse" ? "steep" : minutes[1];
    const at = stages.findIndex((s) => s.kind === kind);
    return at >= 0
      ? withTweak(order, { stage: at, part: "minutes", value: numberOf(minutes[2] ?? "") })
      : undefined;
  }
  const keepTo = KEEP_TO.exec(clause);
  if (keepTo) {
    const at = longest(stages);
    return at >= 0
      ? withTweak(order, { stage: at, part: "minutes", value: numberOf(keepTo[1] ?? "") })
      : undefined;
  }
  if (/^(?:a (?:little|bit) )?(?:stronger|make it stronger)$/.test(clause))
    return { ...order, strength: order.strength === "gentle" ? "standard" : "strong" };
  if (/^(?:a (?:little|bit) )?(?:weaker|gentler|milder|make it weaker)$/.test(clause))
    return { ...order, strength: order.strength === "strong" ? "standard" : "gentle" };
  const cups = CUPS.exec(clause);
  return cups ? { ...order, cups: numberOf(cups[1] ?? "") } : undefined;
}

const round = (n: number) => Math.round(n * 1000) / 1000;
const shareOf = (order: Order, herb: string) => order.changes.find((c) => c.herb === herb)?.share;

const withChange = (order: Order, change: Change): Order => ({
  ...order,
  changes: [...order.changes.filter((c) => c.herb !== change.herb), change],
});

const withTweak = (order: Order, tweak: Extract<Tweak, { stage: number }>): Order => ({
  ...order,
  tweaks: [
    ...order.tweaks.filter((t) => !("stage" in t && t.stage === tweak.stage && t.part === tweak.part)),
    tweak,
  ],
});

function minutesOf(order: Order, stages: NonNullable<RecipeDocument["stages"]>, at: number): number {
  const moved = order.tweaks.find(
    (t): t is Extract<Tweak, { stage: number }> => "stage" in t && t.stage === at && t.part === "minutes",
  );
  return moved ? moved.value : (stages[at]?.minutes ?? 0);
}

/** The stage in which the herbs infuse the longest; −1 for none. */
function longest(stages: NonNullable<RecipeDocument["stages"]>): number {
  let best = -1;
  stages.forEach((s, i) => {
    const giving = traitsOf(s.kind)?.infuses && s.minutes !== undefined;
    if (giving && (best < 0 || (s.minutes ?? 0) > (stages[best]?.minutes ?? 0))) best = i;
  });
  return best;
}

/** The one herb of the recipe that is meant: by its name, or by one word of it that no other has. */
function herbOf(said: string, named: { herb: string; name: string }[]): string | undefined {
  const plain = said.replace(/ (?:again|next time|please|in it)$/, "").trim();
  const whole = named.find((n) => n.name.toLowerCase() === plain || n.herb.replaceAll("-", " ") === plain);
  if (whole) return whole.herb;
  const some = named.filter((n) => n.name.toLowerCase().split(" ").includes(plain));
  return some.length === 1 ? some[0]?.herb : undefined;
}
