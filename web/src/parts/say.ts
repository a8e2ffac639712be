import { onScale, type Quantity, type ScaleLine, scaleOf, stepAt, theHouse } from "../api/house";
import { wall } from "../api/zone";
import { locale } from "../words/catalogue";
import { listed, say } from "../words/say";

/** How numbers and times are said; one place, so that every screen says them alike. */

const EIGHTHS = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"];

/** To the nearest eighth: 1.5 is "1½". */
export function fraction(n: number): string {
  const eighths = Math.round(n * 8);
  const whole = Math.floor(eighths / 8);
  return `${whole || ""}${EIGHTHS[eighths % 8]}` || "0";
}

/** The number that a scale shows, to the step of its size, or `finer` by one digit. */
export function shownBy(s: ScaleLine, inCore: number, finer = false): string {
  const shown = onScale(s, inCore);
  const step = stepAt(s, shown) / (finer && !s.eighths ? 10 : 1);
  const number = Math.round(shown / step) * step;
  if (s.eighths) return fraction(number);
  if (step >= 1 || (step === 0.5 && Number.isInteger(number))) return number.toFixed(0);
  return number.toFixed(step < 0.1 ? 2 : 1);
}

/** A quantity of the core as the house reads it: "8.0 g", "0.28 oz". */
export function quantity(of: Quantity, inCore: number, finer = false): string {
  const s = scaleOf(of);
  return `${shownBy(s, inCore, finer)} ${s.unit}`;
}

/** "7.8–16 g". */
export function range(of: Quantity, low: number, high: number): string {
  const s = scaleOf(of);
  const [from, to] = [shownBy(s, low), shownBy(s, high)];
  return from === to ? `${to} ${s.unit}` : `${from}–${to} ${s.unit}`;
}

/** Number and unit apart, where they are not set alike. */
export function apart(of: Quantity, inCore: number, finer = false): { number: string; unit: string } {
  const s = scaleOf(of);
  return { number: shownBy(s, inCore, finer), unit: s.unit };
}

/** "8.0 g". */
export const grams = (g: number) => quantity("mass", g);

/** As a jug shows them: to 5 mL from 100 on. */
export const millilitres = (ml: number) => quantity("volume", ml);

/** "85 °C"; `finer` to the tenth. */
export const celsius = (c: number, finer = false) => quantity("temperature", c, finer);

/** "5.2 cm", "2⅛ in". */
export const centimetres = (cm: number) => quantity("length", cm);

/** "half a cup", "1½ cups". */
export function cupsSaid(n: number): string {
  if (n === 0.5) return say("common.halfACup");
  const whole = Math.floor(n);
  const rest = n - whole;
  const part = rest === 0.5 ? "½" : rest === 0.25 ? "¼" : rest === 0.75 ? "¾" : "";
  return part
    ? say("common.cupsAndPart", { whole: whole || "", fraction: part })
    : say("common.cups", { n: Math.round(n * 10) / 10 });
}

/** A moment as the kitchen's clock shows it. */
const shown = (at: Date | string) => wall(typeof at === "string" ? new Date(at) : at);
const two = (n: number) => String(n).padStart(2, "0");

const digits = (d: Date) => `${two(d.getHours())}:${two(d.getMinutes())}`;
const halfDay = (d: { getHours: () => number }, clock: string) =>
  say("common.halfDay", { clock, before: d.getHours() < 12 });
const clockFace = (d: Date) =>
  theHouse().units.hours === "twelve"
    ? halfDay(d, `${d.getHours() % 12 || 12}:${two(d.getMinutes())}`)
    : digits(d);

/** The value of a control for a time: "21:05", whatever the house says. */
export const timeValue = (at: Date | string): string => digits(shown(at));

/** "21:05", "9:05 pm". */
export const clock = (at: Date | string): string => clockFace(shown(at));

/** The same for the value of a control. */
export function clockOf(value: string): string {
  const [h = "0", m = "0"] = value.split(":");
  return clockFace(new Date(2000, 0, 1, Number(h), Number(m)));
}

/** A full hour on an axis: "21", "9 pm". */
export function hour(at: Date): string {
  const d = shown(at);
  const h = d.getHours();
  return theHouse().units.hours === "twelve" ? halfDay(d, String(h % 12 || 12)) : two(h);
}

/** Whether both are of one day of the house. */
export const sameDay = (a: Date | string, b: Date | string) =>
  shown(a).toDateString() === shown(b).toDateString();

/** A moment to come or gone: its clock, with its day when that is another than today's. */
export const moment = (at: Date | string, now: Date): string =>
  sameDay(at, now) ? clock(at) : `${day(at)}, ${clock(at)}`;

/** "26 Nov", "Nov 26", "2026-11-26". */
export function date(at: Date | string): string {
  const d = shown(at);
  const order = theHouse().units.dates;
  if (order === "year-month-day") return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
  const month = d.toLocaleDateString(locale, { month: "short" });
  return say(order === "month-day" ? "common.monthDay" : "common.dayMonth", { day: d.getDate(), month });
}

/** "Thu 26 Nov". */
export function day(at: Date | string): string {
  return say("common.weekday", {
    weekday: shown(at).toLocaleDateString(locale, { weekday: "short" }),
    date: date(at),
  });
}

/** With its year: "26 Nov 2026", "Nov 26, 2026". */
export function fullDate(at: Date | string): string {
  const order = theHouse().units.dates;
  const year = shown(at).getFullYear();
  if (order === "year-month-day") return date(at);
  return say(order === "month-day" ? "common.monthDayYear" : "common.dayMonthYear", { date: date(at), year });
}

/** "20 min", "1 h 30", "8 h", "45 s". */
export function span(seconds: number): string {
  const s = Math.round(seconds);
  if (s < 60) return say("common.seconds", { seconds: s });
  const minutes = Math.round(s / 60);
  if (minutes < 60) return say("common.minutes", { minutes });
  if (minutes >= 48 * 60) return say("common.days", { days: Math.round(minutes / 1440) });
  const rest = minutes % 60;
  return say("common.hours", { hours: Math.floor(minutes / 60), minutes: rest || false });
}

/** Longer than this is said in days, h. */
const TIMED_H = 48;

/** A timer: "14:20", "1:04:05", "34 days 3 h"; a leading plus once it has run out. */
export function timer(seconds: number): string {
  if (!Number.isFinite(seconds)) return "–";
  const late = seconds < 0;
  const s = Math.abs(Math.round(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  if (h >= TIMED_H)
    return `${late ? "+" : ""}${say("common.daysAndHours", { days: Math.floor(h / 24), hours: h % 24 })}`;
  const two = (n: number) => String(n).padStart(2, "0");
  return `${late && s > 0 ? "+" : ""}${h > 0 ? `${h}:${two(m)}` : m}:${two(s % 60)}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A share as a percentage of the whole. */
export function share(x: number): string {
  return `${Math.round(x * 100)}\u00a0%`;
}

/** A number in workings: as many digits as help. */
export function figure(x: number): string {
  const a = Math.abs(x);
  if (a >= 10_000) return Math.round(x).toLocaleString(locale);
  if (a >= 100) return x.toFixed(0);
  if (a >= 10) return x.toFixed(1);
  return x === Math.round(x) ? String(x) : x.toFixed(a < 0.1 ? 3 : 2);
}

/** How strong a cup was felt to be, as it is asked and as it is shown. */
export const FELT = [
  { value: -2, label: say("common.farTooWeak") },
  { value: -1, label: say("common.aLittleWeak") },
  { value: 0, label: say("common.right") },
  { value: 1, label: say("common.aLittleStrong") },
  { value: 2, label: say("common.farTooStrong") },
];

/** How strong a cup is wanted. */
export const STRENGTHS: { value: "gentle" | "standard" | "strong"; label: string; gloss: string }[] = [
  { value: "gentle", label: say("common.gentle"), gloss: say("common.threeQuartersOfTheRecipe") },
  { value: "standard", label: say("common.standard"), gloss: say("common.asTheRecipeSays") },
  { value: "strong", label: say("common.strong"), gloss: say("common.aThirdMoreInsideThe") },
];

/** Somebody who drinks of the same pot, as the plan has them. */
interface Drinks {
  name: string;
  /** Part of a cup in one serving, 0–1. */
  serving: number;
}

/** A serving in a vessel's own measure, for whoever pours it. */
export const servingMl = (serving: number, cupMl: number) => millilitres(Math.round(serving * cupMl));

/** "for Maren and 91 mL for Ola"; who has a whole cup is only named. */
export function forWhom(drinker: string | undefined | null, others: Drinks[] | undefined, cupMl: number) {
  const all = (others ?? []).map((o) =>
    o.serving >= 1
      ? say("common.forDrinker", { name: o.name })
      : say("common.amountForDrinker", { amount: servingMl(o.serving, cupMl), name: o.name }),
  );
  if (drinker) all.unshift(say("common.forDrinker", { name: drinker }));
  return all.length === 0 ? "" : listed(all);
}
