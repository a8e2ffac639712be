import type { components } from "./types.gen";

type Schemas = components["schemas"];

/** What is left of a step after a hand turned lid or flame. */
export type TurnedLine = Omit<Schemas["Heating"], "kind"> & { kind: "turned" };

/** A step as it is drawn: one shape for each way it goes on. */
export type StepLine = Schemas["StepLine"] | TurnedLine;

/** A step that belongs to a stage of the recipe. */
export type StageLine = Exclude<StepLine, Schemas["Preparing"] | Schemas["Resting"]>;

export const ofStage = (step: StepLine): step is StageLine => step.kind !== "prep" && step.kind !== "stand";

/** The steps that belong to stages. */
export const stagesOf = (steps: StepLine[]): StageLine[] => steps.filter(ofStage);

/** Net power into the water while it lasts, W. */
export const powerOf = (step: StepLine): number => ("powerW" in step ? step.powerW : 0);

/** Whether nose or eye may end it. */
export const ripens = (step: StepLine): boolean => "ripens" in step && step.ripens;
