import type { ReactNode } from "react";
import type { AdditionLine, CurvePoint, PlanResponse, StepLine } from "../api/client";

/** What the fire line is drawn from. */
export interface FireLineProps {
  steps: StepLine[];
  curve: CurvePoint[];
  additions: AdditionLine[];
  /** Moment of second 0; missing for a recipe, which has no clock: its line says how long from its beginning. */
  start?: Date;
  totalS: number;
  stageStartS: number;
  startMl: number;
  yieldMl: number;
  strength: number;
  /** When the first cup can be drunk, s: the line goes on to what is stirred into a cooler one. */
  readyS?: number;
  readyWord?: string;
  width: number;
  height: number;
  /** Seconds of the present; draws the travelling mark. */
  nowS?: number;
  /** Another plan's curve, drawn thin beside this one. */
  against?: CurvePoint[];
  /** What is laid over the line, given where it stands. */
  over?: (geometry: { endS: number; bandTop: number; bandBase: number; bodyY: number }) => ReactNode;
}

/** The line of a plan as it is planned. */
export const ofPlan = (plan: PlanResponse) => ({
  steps: plan.steps,
  curve: plan.curve,
  additions: plan.additions,
  totalS: plan.totalS,
  readyS: plan.readyS,
  stageStartS: plan.stageStartS,
  startMl: plan.water.startMl,
  yieldMl: plan.water.yieldMl,
  strength: plan.strength,
});
