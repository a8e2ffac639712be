import type { OrderRequest, Person, RecipeDocument } from "../../api/client";
import { say } from "../../words/say";
import { decided, type Meant } from "../recipe/doc";
import { nextAt, readAt } from "./at";

export type Strength = "gentle" | "standard" | "strong";

/** What the order sentence says; kept in the address, so that a sheet can be linked and the back button works. */
export interface Order {
  cups?: number;
  cupMl?: number;
  /** Empty for the drinker's usual strength. */
  strength?: Strength;
  purpose: "everyday" | "tonic" | "acute";
  drinkerId?: string;
  /** Who drinks it without being of the household. */
  guest?: Guest;
  vesselId?: string;
  burnerId?: string;
  /** "HH:MM" of today or tomorrow, or a day with it; empty for as soon as possible. */
  at?: string;
  /** Herbs left out, or replaced by another: the ways out of a stop that were taken. */
  changes: Change[];
  /** What draws it instead of the recipe's spirit. */
  menstruum?: "water" | "glycerin" | "vinegar";
  /** Where this cook departs from her tradition, by question. */
  schools: Record<string, string>;
  /** What was moved by hand on the drawings; the recipe itself stays as it is kept. */
  tweaks: Tweak[];
  /** Whether it is the second brew of herbs brewed once. */
  spent: boolean;
  /** The brew that this one is a change or a second brew of. */
  after?: string;
  /** The brew that waits and is given up for this one when it is started or planned. */
  instead?: string;
  /** Cups that the drinker takes of it in a day; empty as the recipe says. */
  aDay?: number;
  /** Days for which a practitioner prescribed it. */
  prescribed?: number;
  /** Who did. */
  prescribedBy?: string;
  /** Who drinks of it beside the drinker. */
  others: Sharer[];
}

/** Somebody who is not kept: a word or two, and what is to be minded. */
export interface Guest {
  name?: string;
  ageYears?: number;
  conditions?: string[];
}

/** Somebody who drinks of the pot too: of the household, or a guest. */
export interface Sharer extends Guest {
  /** Of the household; a guest is "guest". */
  id: string;
  cupsADay: number;
  /** Part of a cup in one serving; empty for what a child may have, else a whole cup. */
  serving?: number;
}

/** A herb left out, replaced, lessened, or taken in its other form. */
export interface Change {
  herb: string;
  with?: string;
  share?: number;
  /** Grams of it in each cup. */
  perCupG?: number;
  form?: "fresh" | "dried";
}

/** One number of one stage, the stage of one herb, or which of two is meant. */
export type Tweak =
  | Meant
  | { stage: number; part: "minutes" | "toMl" | "lid"; value: number }
  | { addition: number; part: "stage"; value: number };

/** An order whose drinker and strength are settled. */
export type Ordered = Order & { strength: Strength };

/** For whom it was ordered, else for the one who brews; as strong as ordered, else as the drinker usually likes it. */
export function settled(order: Order, people: Person[] | undefined): Ordered {
  const drinker = people?.find((p) => (order.drinkerId ? p.id === order.drinkerId : p.brewer));
  return {
    ...order,
    drinkerId: order.guest ? undefined : (order.drinkerId ?? drinker?.id),
    strength:
      order.strength ?? (order.guest ? undefined : (drinker?.usualStrength as Strength)) ?? "standard",
  };
}

const number = (text: string | null) => (text && Number.isFinite(Number(text)) ? Number(text) : undefined);

function oneOf<T extends string>(text: string | null, all: readonly T[], fallback: T): T {
  return all.find((a) => a === text) ?? fallback;
}

/** An order out of its address, without what is not understood of it. */
export function readOrder(params: URLSearchParams): Order {
  return read(new URLSearchParams([...params].filter(understood(params))));
}

function read(params: URLSearchParams): Order {
  return {
    cups: number(params.get("cups")),
    cupMl: number(params.get("cup")),
    strength: (["gentle", "standard", "strong"] as const).find((s) => s === params.get("strength")),
    purpose: oneOf(params.get("as"), ["everyday", "tonic", "acute"], "everyday"),
    drinkerId: params.get("who") ?? undefined,
    guest: readGuest(params.get("guest")),
    vesselId: params.get("in") ?? undefined,
    burnerId: params.get("on") ?? undefined,
    at: readAt(params.get("at")),
    changes: params.getAll("change").flatMap(readChange),
    menstruum: (["water", "glycerin", "vinegar"] as const).find((m) => m === params.get("drawn")),
    schools: Object.fromEntries(params.getAll("school").map((s) => s.split(".") as [string, string])),
    tweaks: params.getAll("t").flatMap(readTweak),
    spent: params.get("spent") === "1",
    after: params.get("after") ?? undefined,
    instead: params.get("instead") ?? undefined,
    aDay: number(params.get("aday")),
    prescribed: number(params.get("rx")),
    prescribedBy: params.get("rxby") ?? undefined,
    others: params.getAll("with").flatMap(readSharer),
  };
}

/** What of an address is nothing that an order can say, as it stands there: left out, and to be said to be. */
export function unread(params: URLSearchParams): string[] {
  const known = understood(params);
  return [...params].filter((part) => !known(part)).map(([key, value]) => `${key}=${value}`);
}

/** Everything that an order says is written as it was read; what is not written again was not understood. */
function understood(params: URLSearchParams) {
  const written = writeOrder(read(params));
  if (params.get("as") === "everyday") written.set("as", "everyday");
  // What nobody said at the end of a list need not be written.
  const said = (list: string) => list.replace(/~+$/, "");
  const same = (one: string, other: string) =>
    said(one) === said(other) || (one !== "" && Number(one) === Number(other));
  return ([key, value]: [string, string]) => written.getAll(key).some((w) => same(value, w));
}

/** Changes made by hand to a step or a herb that the recipe does not have, or does not have any more. */
export const misplaced = (recipe: RecipeDocument, tweaks: Tweak[]): Tweak[] =>
  tweaks.filter((t) =>
    "meant" in t
      ? false
      : "addition" in t
        ? t.addition >= (recipe.additions?.length ?? 0)
        : t.stage >= (recipe.stages?.length ?? 0),
  );

function readGuest(text: string | null): Guest | undefined {
  if (text === null) return undefined;
  const [age = "", name = "", ...conditions] = text.split("~");
  return {
    ageYears: number(age || null),
    name: name || undefined,
    conditions: conditions.length > 0 ? conditions : undefined,
  };
}

const writeGuest = (g: Guest) => [g.ageYears ?? "", g.name ?? "", ...(g.conditions ?? [])].join("~");

function readSharer(text: string): Sharer[] {
  const [id = "", cups = "1", serving = "", age = "", name = "", ...conditions] = text.split("~");
  return id === ""
    ? []
    : [
        {
          id,
          cupsADay: number(cups) ?? 1,
          serving: number(serving || null),
          ageYears: number(age || null),
          name: name || undefined,
          conditions: conditions.length > 0 ? conditions : undefined,
        },
      ];
}

function writeSharer(s: Sharer): string {
  return [s.id, s.cupsADay, s.serving ?? "", s.ageYears ?? "", s.name ?? "", ...(s.conditions ?? [])].join(
    "~",
  );
}

function readChange(text: string): Change[] {
  const [herb = "", what = "", value = ""] = text.split(".");
  const part = number(value || null);
  if (what === "share") return part === undefined ? [] : [{ herb, share: part / 100 }];
  if (what === "cup") return part === undefined ? [] : [{ herb, perCupG: part / 100 }];
  if (what === "form") return value === "fresh" || value === "dried" ? [{ herb, form: value }] : [];
  return [what ? { herb, with: what } : { herb }];
}

function writeChange(c: Change): string {
  if (c.share !== undefined) return `${c.herb}.share.${Math.round(c.share * 100)}`;
  if (c.perCupG !== undefined) return `${c.herb}.cup.${Math.round(c.perCupG * 100)}`;
  if (c.form) return `${c.herb}.form.${c.form}`;
  return c.with ? `${c.herb}.${c.with}` : c.herb;
}

function readTweak(text: string): Tweak[] {
  const [where = "", part, ...number] = text.split(".");
  if (where === "meant" && part === "cups") return [{ meant: "cups", says: number.join(".") }];
  if (where === "meant" && part === "other") {
    const [cups, cupMl] = number.join(".").split("x").map(Number);
    return cups && cupMl && cups > 0 && cupMl > 0 ? [{ meant: "other", cups, cupMl }] : [];
  }
  const at = Number(where.slice(1));
  const value = Number(number.join("."));
  if (!/^[as]\d+$/.test(where) || !Number.isFinite(value)) return [];
  if (where.startsWith("a")) return [{ addition: at, part: "stage", value }];
  return part === "minutes" || part === "toMl" || part === "lid" ? [{ stage: at, part, value }] : [];
}

const tweakKey = (t: Tweak) =>
  "meant" in t ? "meant" : "addition" in t ? `a${t.addition}.stage` : `s${t.stage}.${t.part}`;

function writeTweak(t: Tweak): string {
  if (!("meant" in t)) return `${tweakKey(t)}.${t.value}`;
  return `meant.${t.meant}.${t.meant === "cups" ? t.says : `${t.cups}x${t.cupMl}`}`;
}

/** The order with one more tweak; an earlier one of the same thing gives way. */
export function tweaked(order: Order, tweak: Tweak): Tweak[] {
  return [...order.tweaks.filter((t) => tweakKey(t) !== tweakKey(tweak)), tweak];
}

/** The recipe as the drawings were moved. */
export function applied(kept: RecipeDocument, tweaks: Tweak[]): RecipeDocument {
  const recipe = tweaks.reduce((r, t) => ("meant" in t ? decided(r, t) : r), kept);
  const stages = (recipe.stages ?? []).map((s) => ({ ...s }));
  const additions = (recipe.additions ?? []).map((a) => ({ ...a }));
  for (const t of tweaks) {
    if ("meant" in t) continue;
    if ("addition" in t) {
      const a = additions[t.addition];
      if (a) a.stage = Math.max(0, Math.min(stages.length - 1, t.value));
      continue;
    }
    const s = stages[t.stage];
    if (!s) continue;
    if (t.part === "lid") s.lid = t.value === 1;
    else s[t.part] = t.value;
  }
  return { ...recipe, stages, additions };
}

export function writeOrder(order: Order): URLSearchParams {
  const params = new URLSearchParams();
  const put = (key: string, value: string | number | undefined, usual?: string) => {
    if (value !== undefined && value !== "" && value !== usual) params.set(key, String(value));
  };
  put("cups", order.cups);
  put("cup", order.cupMl);
  put("strength", order.strength);
  put("as", order.purpose, "everyday");
  put("who", order.drinkerId);
  put("guest", order.guest && writeGuest(order.guest));
  put("in", order.vesselId);
  put("on", order.burnerId);
  put("at", order.at);
  put("drawn", order.menstruum);
  put("spent", order.spent ? "1" : undefined);
  put("after", order.after);
  put("instead", order.instead);
  put("aday", order.aDay);
  put("rx", order.prescribed);
  put("rxby", order.prescribed === undefined ? undefined : order.prescribedBy);
  for (const s of order.others) params.append("with", writeSharer(s));
  for (const c of order.changes) params.append("change", writeChange(c));
  for (const [question, choice] of Object.entries(order.schools))
    params.append("school", `${question}.${choice}`);
  for (const t of order.tweaks) params.append("t", writeTweak(t));
  return params;
}

/** Another recipe for the same people. */
export const forTheSame = ({ drinkerId, guest, others }: Order): URLSearchParams =>
  writeOrder({ ...readOrder(new URLSearchParams()), drinkerId, guest, others });

const drinkerOf = (g: Guest): NonNullable<OrderRequest["drinker"]> => ({
  ageYears: g.ageYears,
  conditions: g.conditions as NonNullable<OrderRequest["drinker"]>["conditions"],
});

function sharer(s: Sharer) {
  return s.id === "guest"
    ? {
        name: s.name || say("sheet.theGuest"),
        drinker: drinkerOf(s),
        cupsADay: s.cupsADay,
        serving: s.serving,
      }
    : { drinkerId: s.id, cupsADay: s.cupsADay, serving: s.serving };
}

export function ask(
  recipeId: string,
  recipe: RecipeDocument | undefined,
  order: Ordered,
  now: Date,
): OrderRequest {
  return {
    recipeId,
    recipe: recipe && order.tweaks.length > 0 ? applied(recipe, order.tweaks) : undefined,
    menstruum: order.menstruum,
    schools: Object.keys(order.schools).length > 0 ? order.schools : undefined,
    spentHerbs: order.spent || undefined,
    cups: order.cups,
    cupMl: order.cupMl,
    strength: order.strength,
    purpose: order.purpose,
    drinkerId: order.drinkerId,
    drinker: order.guest && drinkerOf(order.guest),
    guest: order.guest && (order.guest.name || say("sheet.aGuest")),
    cupsADay: order.aDay,
    prescribedDays: order.prescribed,
    prescribedBy: order.prescribed === undefined ? undefined : order.prescribedBy || undefined,
    others: order.others.length > 0 ? order.others.map(sharer) : undefined,
    changes: order.changes.length > 0 ? order.changes : undefined,
    kitchen: { vesselId: order.vesselId, burnerId: order.burnerId },
    ...(order.at ? { readyAt: nextAt(order.at, now).toISOString() } : { startAt: now.toISOString() }),
  };
}
