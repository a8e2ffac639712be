import type { BrewResponse, PlanResponse, StageLine, StepLine } from "../../api/client";
import { ofStage, powerOf, ripens, stagesOf } from "../../api/steps";

/** Steps that follow one another; prep that fits into waiting stands aside. */
export function mainSteps(brew: BrewResponse) {
  return brew.plan.steps.filter((s) => !s.aside);
}

export function beginOf(brew: BrewResponse, key: string): Date {
  const main = mainSteps(brew);
  const before = main[main.findIndex((s) => s.key === key) - 1];
  const live = brew.steps.find((s) => s.key === before?.key);
  return new Date(live?.dueAt ?? brew.plan.startAt);
}

/**
 * The predicted brew laid on the real clock: done steps where they were, the rest after them. A step that is over and not
 * confirmed goes on, and what follows moves with it.
 */
export function reality(brew: BrewResponse, overS: number) {
  const startMs = new Date(brew.startedAt ?? brew.plan.startAt).getTime();
  const main = mainSteps(brew);
  const nowIndex = main.findIndex((s) => s.key === brew.nowKey);
  const begins = new Map(main.map((s) => [s.key, (beginOrStart(brew, s.key, main) - startMs) / 1000]));
  const planned = brew.plan.steps.map((s) => {
    const live = brew.steps.find((l) => l.key === s.key);
    const begin = begins.get(s.key);
    if (begin === undefined || !live) return s;
    const index = main.findIndex((m) => m.key === s.key);
    const length = Math.max(0, (new Date(live.dueAt).getTime() - startMs) / 1000 - begin);
    return {
      ...s,
      startS: begin + (nowIndex >= 0 && index > nowIndex ? overS : 0),
      durationS: length + (index === nowIndex ? overS : 0),
    };
  });
  const steps = planned.flatMap((s) => turned(brew, s, startMs));
  const firstStage = steps.find(ofStage);
  const stageStartS = firstStage?.startS ?? 0;
  const shift = stageStartS - (brew.predictedSteps.find((s) => s.key === firstStage?.key)?.startS ?? 0);
  const current = steps.find((s) => s.key === brew.nowKey);
  const turnS = current ? current.startS + current.durationS - overS : Number.POSITIVE_INFINITY;
  const curve = brew.predictedCurve
    .map((p) => ({ ...p, tS: p.tS + shift }))
    .map((p) => (p.tS >= turnS - 0.5 ? { ...p, tS: p.tS + overS } : p));
  const last = stagesOf(steps).at(-1);
  return { steps, curve, stageStartS, totalS: last ? last.startS + last.durationS : brew.plan.totalS };
}

/** A step cut where a hand turned lid or flame, so that the line shows what really was. */
function turned(brew: BrewResponse, step: StepLine, startMs: number): StepLine[] {
  if (!ofStage(step) || step.handsOn) return [step];
  const pieces: StageLine[] = [step];
  for (const e of brew.events) {
    const last = pieces.at(-1);
    const atS = (new Date(e.at).getTime() - startMs) / 1000;
    if (!last || !e.turn || atS < last.startS || atS >= last.startS + last.durationS) continue;
    pieces[pieces.length - 1] = { ...last, durationS: atS - last.startS };
    pieces.push({
      ...last,
      key: `${step.key}~${pieces.length}`,
      kind: "turned",
      startS: atS,
      durationS: last.startS + last.durationS - atS,
      powerW: e.powerW ?? powerOf(last),
      lid: e.lid ?? last.lid,
      ripens: ripens(last),
    });
  }
  return pieces;
}

function beginOrStart(brew: BrewResponse, key: string, main: { key: string }[]): number {
  const i = main.findIndex((s) => s.key === key);
  const before = main[i - 1];
  const live = before && brew.steps.find((s) => s.key === before.key);
  return new Date(live?.dueAt ?? brew.startedAt ?? brew.plan.startAt).getTime();
}

/** Before the pour the serving vessel is empty. */
export function poured(brew: BrewResponse): boolean {
  const pour = brew.plan.steps.find((s) => s.kind === "pour");
  return !pour || brew.steps.some((l) => l.key === pour.key && l.doneAt != null);
}

/** The plan with a mug for its vessel, once the liquor is in the mugs. */
export function served(brew: BrewResponse): PlanResponse | undefined {
  const { plan } = brew;
  const done = plan.servedKey && brew.steps.some((l) => l.key === plan.servedKey && l.doneAt != null);
  return done && plan.mug ? { ...plan, vessel: plan.mug, additions: [] } : undefined;
}

export function short(label: string): string {
  const text = label.charAt(0).toLowerCase() + label.slice(1);
  return text.length > 46 ? `${text.slice(0, text.lastIndexOf(" ", 44))} …` : text;
}

/** A moment with what a forgotten step has cost so far, s. */
export const later = (at: Date, overS: number): Date => new Date(at.getTime() + overS * 1000);

/** When a brew is ready, with what a forgotten step has cost so far. */
export const readyOf = (brew: BrewResponse, overS: number): Date =>
  later(new Date(brew.readyAt ?? brew.plan.readyAt), overS);

/** How much a brew is behind its plan, s, a step that is over and not confirmed among it: nothing is ahead while one waits. */
export const lateBy = (lateS: number, overS: number): number => lateS + overS;
