import type { PlanResponse, StepLine } from "../../api/client";
import { stagesOf } from "../../api/steps";
import type { Out } from "../../parts/measured";
import { apart, centimetres, clock, date, forWhom, millilitres, range, share, span } from "../../parts/say";
import { cutSaid, formSaid } from "../../words/kinds";
import { say } from "../../words/say";

/** What stands on paper, printed or as a file: said once for both. */

/** A step shorter than this is done while measuring, s. */
const SHORT_S = 40;

export const SEVERITIES: Record<string, string> = {
  stop: say("sheet.stopTitle"),
  care: say("sheet.takeCare"),
  note: say("sheet.note"),
};

export const ESTIMATE = say("sheet.strengthAndCurvesAreAnEstimate");

/** When it begins and when it is ready. */
export function hours(plan: PlanResponse): { begins: string; ready: string } {
  const start = new Date(plan.startAt);
  return { begins: `${date(start)}, ${clock(start)}`, ready: clock(plan.readyAt) };
}

/** What is made, for whom, in what. */
export const order = (plan: PlanResponse): string =>
  say("sheet.ofInTheStrengthTo", {
    cups: plan.cups,
    amount: millilitres(plan.cupMl),
    whom: forWhom(plan.drinkerName, plan.others, plan.cupMl),
    vessel: plan.vessel.name,
    strength: share(plan.strength),
    low: share(plan.strengthLow),
    high: share(plan.strengthHigh),
    time: span(plan.readyS ?? plan.totalS),
  });

/** How much water: the amount by itself, and the rest of the sentence. */
export function water({ water: w, vessel }: PlanResponse): { amount: string; rest: string } {
  return {
    amount: millilitres(w.startMl),
    rest: say("sheet.ofWater", {
      cups: w.startCups,
      later: w.pourMl > w.startMl + 1 && millilitres(w.pourMl - w.startMl),
      strained: millilitres(w.yieldMl),
      surface: centimetres(vessel.heightCm - vessel.startLevelCm),
      mark: w.dipMl > 0 && centimetres(vessel.heightCm - vessel.dipLevelCm),
    }),
  };
}

/** One line of the measures. */
export function measure(o: Out) {
  const a = o.lead;
  const how = a.blend
    ? o.herbs
        .map((h) => `${apart("mass", h.addition.grams).number} ${h.addition.common.toLowerCase()}`)
        .join(", ")
    : [
        a.form === "fresh" && a.cut === "whole" && a.perCup ? "" : `${formSaid(a.form)}, ${cutSaid(a.cut)}`,
        a.prep,
      ]
        .filter(Boolean)
        .join("; ");
  return {
    mass: apart("mass", o.amounts.grams),
    name: o.name,
    how: [how, a.perCup && say("sheet.intoTheCup", { cup: a.inCup })].filter(Boolean).join("; "),
    weigh: o.amounts.weigh,
    measure: o.amounts.weigh ? say("sheet.weighThisOne") : o.amounts.measure,
    spread: o.amounts.weigh
      ? ""
      : say("sheet.bySpoon", { weight: range("mass", o.amounts.lowG, o.amounts.highG) }),
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
  [plan.posology && say("sheet.taken", { posology: plan.posology }), plan.keeps?.text, ...(notes ?? [])]
    .filter(Boolean)
    .join(" ");
