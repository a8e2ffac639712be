import type { PlanResponse, StepLine } from "../../api/client";
import { stagesOf } from "../../api/steps";
import type { Out } from "../../parts/measured";
import { apart, centimetres, clock, date, forWhom, millilitres, range, share, span } from "../../parts/say";

/** What stands on paper, printed or as a file: said once for both. */

/** A step shorter than this is done while measuring, s. */
const SHORT_S = 40;

export const SEVERITIES: Record<string, string> = { stop: "Stop", care: "Take care", note: "Note" };

export const ESTIMATE =
  "Strength and curves are an estimate. Ask a clinician about illness, medicines and pregnancy; local law decides on regulated herbs.";

/** When it begins and when it is ready. */
export function hours(plan: PlanResponse): { begins: string; ready: string } {
  const start = new Date(plan.startAt);
  return { begins: `${date(start)}, ${clock(start)}`, ready: clock(plan.readyAt) };
}

/** What is made, for whom, in what. */
export const order = (plan: PlanResponse): string =>
  `${plan.cups} ${plan.cups === 1 ? "cup" : "cups"} of ${millilitres(plan.cupMl)}${forWhom(plan.drinkerName, plan.others, plan.cupMl)}, in the ${plan.vessel.name}. Strength ${share(plan.strength)}, ${share(plan.strengthLow)} to ${share(plan.strengthHigh)}; ${span(plan.readyS ?? plan.totalS)}.`;

/** How much water: the amount by itself, and the rest of the sentence. */
export function water({ water: w, vessel }: PlanResponse): { amount: string; rest: string } {
  const later = w.pourMl > w.startMl + 1 ? `, later ${millilitres(w.pourMl - w.startMl)} fresh` : "";
  const mark = w.dipMl > 0 ? `, stop at ${centimetres(vessel.heightCm - vessel.dipLevelCm)} under it` : "";
  return {
    amount: millilitres(w.startMl),
    rest: ` of water${w.startCups ? ` (${w.startCups})` : ""}${later}. Strained ${millilitres(w.yieldMl)}; the surface ${centimetres(vessel.heightCm - vessel.startLevelCm)} under the rim${mark}.`,
  };
}

/** One line of the measures. */
export function measure(o: Out) {
  const a = o.lead;
  const how = a.blend
    ? o.herbs
        .map((h) => `${apart("mass", h.addition.grams).number} ${h.addition.common.toLowerCase()}`)
        .join(", ")
    : [a.form === "fresh" && a.cut === "whole" && a.perCup ? "" : `${a.form}, ${a.cut}`, a.prep]
        .filter(Boolean)
        .join("; ");
  return {
    mass: apart("mass", o.amounts.grams),
    name: o.name,
    how: a.perCup ? `${how}; into the cup ${a.inCup}` : how,
    weigh: o.amounts.weigh,
    measure: o.amounts.weigh ? "weigh this one" : o.amounts.measure,
    spread: o.amounts.weigh ? "" : `${range("mass", o.amounts.lowG, o.amounts.highG)} by spoon`,
  };
}

/** What is done, by the clock; what only gets a herb ready in a moment has its box among the measures. */
export function steps(plan: PlanResponse) {
  const start = new Date(plan.startAt).getTime();
  const all: StepLine[] = [
    ...plan.steps.filter((s) => s.kind === "prep" && s.durationS > SHORT_S),
    ...plan.steps.filter((s) => s.kind === "stand" && !s.aside),
    ...stagesOf(plan.steps),
  ];
  return all
    .sort((a, b) => a.startS - b.startS)
    .map((s) => ({
      key: s.key,
      clock: clock(new Date(start + s.startS * 1000)),
      words: s.until ? `${s.label}, ${s.until}` : s.label,
      takes: span(s.durationS),
    }));
}

/** With more lines than this a page is set smaller, so that it stays one. */
const MANY = 24;
const VERY_MANY = 34;

/** How much stands on the page: 0 is what fits as it is, 2 the most. */
export function crowded(plan: PlanResponse, outs: Out[], notes: string[] | undefined): 0 | 1 | 2 {
  const herbs = outs.reduce((n, o) => n + 1 + (o.herbs.length > 0 ? 1 : 0), 0);
  const lines =
    herbs + plan.steps.length + plan.cautions.length + (plan.ask?.length ?? 0) + (notes?.length ?? 0);
  return lines > VERY_MANY ? 2 : lines > MANY ? 1 : 0;
}

/** How it is taken, how long it keeps, and what the recipe notes. */
export const taken = (plan: PlanResponse, notes: string[] | undefined): string =>
  [plan.posology && `Taken: ${plan.posology}.`, plan.keeps?.text, ...(notes ?? [])].filter(Boolean).join(" ");
