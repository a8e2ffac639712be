import type { BrewLine } from "../api/client";
import { ofWall, wall } from "../api/zone";
import { say } from "../words/say";
import { clock, span } from "./say";
import { goesOn } from "./whereTo";

const HOUR_MS = 3600_000;
/** The strip begins so long before now, and is at least and at most so long. */
const BEFORE_MS = HOUR_MS;
const LEAST_MS = 6 * HOUR_MS;
const MOST_MS = 48 * HOUR_MS;

/** From when to when the strip goes: from shortly before now as far as something is on the fire or planned. */
export function reach(open: BrewLine[], now: Date): [Date, Date] {
  const from = Math.floor((now.getTime() - BEFORE_MS) / (HOUR_MS / 2)) * (HOUR_MS / 2);
  // What stands for weeks goes on beyond the strip, and does not make the hours small.
  const ends = open
    .map((b) => Date.parse(b.readyAt ?? b.startAt))
    .filter((e) => e < now.getTime() + MOST_MS - BEFORE_MS);
  const last = Math.max(now.getTime() + LEAST_MS - BEFORE_MS, ...ends.map((e) => e + HOUR_MS / 2));
  return [new Date(from), new Date(Math.min(from + MOST_MS, last))];
}

/** A brew in its lane, with its words. */
export interface Mark {
  brew: BrewLine;
  lane: number;
  fromX: number;
  toX: number;
  words: string;
  labelX: number;
}

/** Width of a letter of the strip, px. */
const LETTER = 6.9;

/**
 * Each brew in the first lane in which neither its bar nor its words meet another's; what is most urgent comes first. Its words
 * stand over its own bar, and never further from it than the edge of the strip asks.
 *
 * @param lanes as many as there is room for
 */
export function inLanes(
  brews: BrewLine[],
  x: (d: Date) => number,
  width: number,
  now: Date,
  lanes: number,
): { marks: Mark[]; more: BrewLine[] } {
  const urgency = (b: BrewLine) => (b.phase === "finished" ? "z" : "a") + (b.dueAt ?? b.startAt);
  const sorted = [...brews].sort((a, b) => urgency(a).localeCompare(urgency(b)));
  const taken: [number, number][][] = Array.from({ length: lanes }, () => []);
  const marks: Mark[] = [];
  const more: BrewLine[] = [];
  for (const brew of sorted) {
    const at = (iso: string) => Math.max(0, Math.min(width, x(new Date(iso))));
    const fromX = at(brew.startAt);
    const toX = Math.max(fromX + 8, at(brew.readyAt ?? brew.startAt));
    const words = wordsOf(brew, now);
    const length = Math.min(width, words.length * LETTER + 10);
    const labelX = Math.max(0, Math.min(fromX, width - length));
    const [a, b] = [Math.min(fromX, labelX), Math.max(toX, labelX + length)];
    const lane = taken.findIndex((t) => !t.some(([from, to]) => a < to && b > from));
    if (lane >= 0) {
      taken[lane]?.push([a, b]);
      marks.push({ brew, lane, fromX, toX, words, labelX });
    } else if (brew.phase !== "finished") {
      more.push(brew);
    }
  }
  return { marks, more };
}

function wordsOf(brew: BrewLine, now: Date): string {
  const name = short(brew.name);
  if (brew.phase === "planned") return say("common.potStartsAt", { name, clock: clock(brew.startAt) });
  if (!goesOn(brew) || !brew.dueAt) return name;
  const left = (Date.parse(brew.dueAt) - now.getTime()) / 1000;
  return left > 0 ? say("common.potLeft", { name, time: span(left) }) : say("common.potDue", { name });
}

/** The first words of a pot's name, enough to know it by. */
function short(name: string): string {
  return name.length <= 24 ? name : `${name.slice(0, name.lastIndexOf(" ", 22))} …`;
}

const STEPS_H = [1, 2, 3, 6, 12, 24];

/** Full hours so far apart that their names have room. */
export function hoursBetween(from: Date, to: Date, width: number, roomPx: number): Date[] {
  const hours = (to.getTime() - from.getTime()) / HOUR_MS;
  const step = STEPS_H.find((h) => (width * h) / hours >= roomPx) ?? 24;
  const first = new Date(wall(from));
  first.setHours(Math.ceil((first.getHours() + first.getMinutes() / 60) / step) * step, 0, 0, 0);
  const last = wall(to);
  const all: Date[] = [];
  for (const h = first; h <= last; h.setHours(h.getHours() + step)) all.push(ofWall(new Date(h)));
  return all;
}
