import type { AdditionDocument, HerbLine, RecipeDocument, StageDocument } from "../../api/client";
import { CUT_KINDS, FORM_KINDS, RECEIVER_KINDS, UNIT_KINDS } from "../../api/kinds.gen";
import { KINDS, traitsOf } from "../../api/stages";
import { capital, celsius, millilitres, span } from "../../parts/say";
import { cutSaid, formSaid, kindSaid, unitSaid } from "../../words/kinds";
import { listed, say } from "../../words/say";

export const STAGES = KINDS.map((k) => ({ value: k.kind, label: say(`stage.${k.kind}`) }));

/** What an amount may be measured by, the everyday ones first. */
export const UNITS = [...UNIT_KINDS]
  .sort((a, b) => Number(b.everyday) - Number(a.everyday))
  .map((u) => ({ value: u.kind as string, label: unitSaid(u.kind, 1) }));

export const CUTS = CUT_KINDS.map((c) => ({ value: c.kind as string, label: cutSaid(c.kind) }));
export const FORMS = FORM_KINDS.map((f) => ({ value: f.kind as string, label: formSaid(f.kind) }));
export const TRADITIONS = [
  { value: "folk", label: say("recipe.folkSpoonsPerCup") },
  { value: "monograph", label: say("recipe.monographByTheCupOf") },
  { value: "chinese", label: say("recipe.chineseGramsADayTwo") },
  { value: "ayurvedic", label: say("recipe.kitchenDecoctionStartAndEnd") },
];
export const FLAMES = [
  { value: "low", label: say("recipe.lowFlame") },
  { value: "medium", label: say("recipe.mediumFlame") },
  { value: "high", label: say("recipe.highFlame") },
];
/** What a strained liquor may run into; unsaid, what becomes of it decides. */
export const RECEIVERS = [
  { value: "", label: say("recipe.asItGoesOn") },
  ...RECEIVER_KINDS.map((r) => ({ value: r.kind as string, label: capital(kindSaid("receiver", r.kind)) })),
];
export const MENSTRUA = [
  { value: "water", label: say("recipe.water") },
  { value: "spirit", label: say("recipe.spirit") },
  { value: "glycerin", label: say("recipe.glycerin") },
  { value: "vinegar", label: say("recipe.vinegar") },
];

/** A stage of a kind with its usual numbers. */
export function stageOf(kind: string): StageDocument {
  const k = traitsOf(kind);
  return {
    kind: k?.kind,
    minutes: k?.minutes,
    toC: k?.toC,
    toMl: k?.toMl,
    flame: k?.flame,
    lid: k?.lid || undefined,
  };
}

/** A stage as another kind: what both kinds say stays as it was said, and the rest is as usual. */
export function asKind(stage: StageDocument, kind: string): StageDocument {
  const [was, is] = [traitsOf(stage.kind), traitsOf(kind)];
  const both = (trait: "minutes" | "toMl" | "lid") => was?.[trait] !== undefined && is?.[trait] !== undefined;
  const next = stageOf(kind);
  if (both("minutes")) {
    next.minutes = stage.minutes;
    next.minutesTo = stage.minutesTo;
    next.sign = stage.sign;
  }
  if (both("toMl")) next.toMl = stage.toMl;
  if (both("lid")) next.lid = stage.lid;
  if (was?.degrees && is?.degrees) next.toC = stage.toC ?? next.toC;
  return next;
}

export const EMPTY: RecipeDocument = {
  name: "",
  tradition: "folk",
  cups: 2,
  cupMl: 240,
  additions: [],
};

/** A new line of a herb: its usual dose, form and cut, for so many cups. */
export function usualLine(herb: HerbLine, cups: number): AdditionDocument {
  return {
    herb: herb.slug,
    form: herb.usual.form as AdditionDocument["form"],
    cut: herb.usual.cut as AdditionDocument["cut"],
    amount: Math.round(herb.usual.amount * cups * 10) / 10,
    unit: herb.usual.unit,
    stage: 0,
  };
}

/** The same as it was typed, where one line of that herb was read of it; an amount that was not said is the usual one. */
export function saidLine(read: AdditionDocument[], typed: string, usual: AdditionDocument): AdditionDocument {
  const [line, ...more] = read;
  if (!line || more.length > 0 || line.herb !== usual.herb) return usual;
  const { amount, unit } = line;
  const said = /\d|½|¼|¾|⅓|⅔/.test(typed) || unit !== "g";
  const asUsual = line.form === usual.form ? { amount: usual.amount, unit: usual.unit } : { amount, unit };
  return { ...line, ...(said ? {} : asUsual), stage: 0 };
}

/** "Ginger and turmeric": what a recipe is called that nobody named. */
export function nameOf(additions: AdditionDocument[], herbs: HerbLine[]): string {
  const names = [...new Set(additions.map((a) => a.herb))].map(
    (slug) => herbs.find((h) => h.slug === slug)?.named ?? slug ?? "",
  );
  return capital(listed(names));
}

/** What is done in a stage, as the order says things: "simmer 20–30 min". */
export function stageWords(s: StageDocument): string {
  const time = s.minutes
    ? s.minutesTo
      ? s.minutesTo < 60
        ? `${Math.round(s.minutes)}–${spanned(s.minutesTo)}`
        : say("recipe.fromTo", { from: spanned(s.minutes), to: spanned(s.minutesTo) })
      : spanned(s.minutes)
    : "";
  switch (s.kind) {
    case "heat":
      return s.toC === undefined
        ? say("recipe.bringToTheBoil")
        : say("recipe.heatTo", { temperature: celsius(s.toC) });
    case "pour":
      return s.toC === undefined
        ? say("recipe.pourBoilingWaterOn")
        : say("recipe.pourOnAt", { temperature: celsius(s.toC) });
    case "reduce":
      return say("recipe.boilDownToAmount", { amount: millilitres(s.toMl ?? 0) });
    case "refill":
      return say("recipe.ofFreshWaterOnThe", { amount: millilitres(s.toMl ?? 0) });
    case "cool":
      return say("recipe.coolTo", { temperature: celsius(s.toC ?? traitsOf(s.kind)?.toC ?? 0) });
    case "hold":
      return say("recipe.keepAt", { temperature: celsius(s.toC ?? traitsOf(s.kind)?.toC ?? 0), time });
    case "macerate":
      return say("recipe.standCold", { time, place: s.place });
    case "steep":
      return say("recipe.steep", { time });
    case "rest":
      return say("recipe.flameOffRest", { time });
    case "strain":
      return [
        s.pressed ? say("recipe.strainAndPress") : say("recipe.strain"),
        s.into ? say("recipe.runsInto", { into: s.into }) : "",
      ]
        .filter(Boolean)
        .join(" ");
    case "blend":
      return s.addMl === undefined
        ? say("stage.blend")
        : say("recipe.blendWith", { water: millilitres(s.addMl) });
    case "boil":
    case "simmer":
    case "combine":
    case "finish":
    case "stir":
    case "shake":
      return [say(`stage.${s.kind}`), time].filter(Boolean).join(" ");
    default: {
      const none: undefined = s.kind;
      return none ?? "";
    }
  }
}

const spanned = (minutes: number) => span(minutes * 60);

/** Stages in words, for the menu that says where a herb goes in. */
export function placeWords(stages: StageDocument[]): { value: string; label: string }[] {
  return stages.map((s, i) => ({ value: String(i), label: `${i + 1}. ${stageWords(s)}` }));
}

/** Which of two is meant when a recipe contradicts itself: its cups, or what the water leaves or the reduction stops at. */
export type Meant = { meant: "cups"; says: string } | { meant: "other"; cups: number; cupMl: number };

/** The recipe after it was decided which is meant. */
export function decided(recipe: RecipeDocument, which: Meant): RecipeDocument {
  if (which.meant === "other") return { ...recipe, cups: which.cups, cupMl: which.cupMl };
  if (which.says === "water-leaves")
    return { ...recipe, pourMl: undefined, headspaceCm: undefined, coverCm: undefined };
  const stages = recipe.stages ?? [];
  const last = stages.findLastIndex((s) => s.kind === "reduce");
  const toMl = (recipe.cups ?? 1) * (recipe.cupMl ?? 240);
  return { ...recipe, stages: stages.map((s, i) => (i === last ? { ...s, toMl } : s)) };
}

/** Takes a stage out; what went in there goes in with another, or with the one that follows. */
export function withoutStage(recipe: RecipeDocument, at: number, herbsTo?: number): RecipeDocument {
  const stages = (recipe.stages ?? []).filter((_, i) => i !== at);
  const to = (s: number) => (s > at ? s - 1 : Math.min(s, stages.length - 1));
  return { ...recipe, stages, ...moved(recipe, (s) => to(s === at && herbsTo !== undefined ? herbsTo : s)) };
}

/** What goes in with a stage or is minded there, and would have to go elsewhere without it. */
export function hangsOn(recipe: RecipeDocument, at: number): boolean {
  return (
    (recipe.additions ?? []).some((a) => (a.stage ?? 0) === at) ||
    (recipe.told ?? []).some((c) => c.stage === at)
  );
}

/** Puts a stage in front of another; herbs stay with their stages. */
export function withStage(recipe: RecipeDocument, at: number, stage: StageDocument): RecipeDocument {
  const stages = [...(recipe.stages ?? [])];
  stages.splice(at, 0, stage);
  return { ...recipe, stages, ...moved(recipe, (s) => (s >= at && stages.length > 1 ? s + 1 : s)) };
}

/** Swaps a stage with the next one; herbs stay with their stages. */
export function swapped(recipe: RecipeDocument, at: number): RecipeDocument {
  const stages = [...(recipe.stages ?? [])];
  const [a, b] = [stages[at], stages[at + 1]];
  if (!a || !b) return recipe;
  stages[at] = b;
  stages[at + 1] = a;
  return { ...recipe, stages, ...moved(recipe, (s) => (s === at ? at + 1 : s === at + 1 ? at : s)) };
}

/** Puts a stage where another is; those between move up or down, herbs stay with their stages. */
export function movedTo(recipe: RecipeDocument, from: number, to: number): RecipeDocument {
  let next = recipe;
  for (let i = from; i < to; i++) next = swapped(next, i);
  for (let i = from; i > to; i--) next = swapped(next, i - 1);
  return next;
}

/** Makes one of a stage and the next of its kind: as long as both, covered and said as the first is. */
export function joined(recipe: RecipeDocument, at: number): RecipeDocument {
  const [a, b] = [recipe.stages?.[at], recipe.stages?.[at + 1]];
  if (!a || !b || a.kind !== b.kind) return recipe;
  const most = (a.minutesTo ?? a.minutes ?? 0) + (b.minutesTo ?? b.minutes ?? 0);
  const minutes = (a.minutes ?? 0) + (b.minutes ?? 0);
  const one = { ...a, minutes, minutesTo: most > minutes ? most : undefined };
  const kept = withoutStage(recipe, at + 1);
  return {
    ...kept,
    stages: (kept.stages ?? []).map((s, i) => (i === at ? one : s)),
    ...moved(recipe, (s) => (s > at ? s - 1 : s)),
  };
}

/** Herbs and cautions of a stage go with it. */
function moved(recipe: RecipeDocument, to: (stage: number) => number): Partial<RecipeDocument> {
  return {
    additions: (recipe.additions ?? []).map((a) => ({ ...a, stage: Math.max(0, to(a.stage ?? 0)) })),
    told: recipe.told?.map((c) => (c.stage === undefined ? c : { ...c, stage: Math.max(0, to(c.stage)) })),
  };
}

/** A recipe without one of its lines; what it warned of that herb it warns of at taking, so that nothing is lost. */
export function withoutLine(recipe: RecipeDocument, at: number): RecipeDocument {
  const herb = recipe.additions?.[at]?.herb;
  const additions = (recipe.additions ?? []).filter((_, i) => i !== at);
  const gone = herb !== undefined && !additions.some((a) => a.herb === herb);
  return {
    ...recipe,
    additions,
    told: recipe.told?.map((c) =>
      gone && c.herb === herb ? { ...c, herb: undefined, about: "taking" as const } : c,
    ),
  };
}
