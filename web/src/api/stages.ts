import { STAGE_KINDS, type StageKind } from "./stages.gen";

export type { StageKind };

/** What a kind of stage can do, and what it says when nobody says otherwise; what it does not say is missing. */
export interface StageTraits {
  kind: StageKind;
  minutes?: number;
  toMl?: number;
  toC?: number;
  /** Whether it may say a temperature. */
  degrees: boolean;
  flame?: "low" | "medium" | "high";
  /** Whether the lid is on; missing where there is none to put on. */
  lid?: boolean;
  heats: boolean;
  /** Whether the liquor boils or simmers in it. */
  boils: boolean;
  infuses: boolean;
  worked: boolean;
  takesWater: boolean;
}

export const KINDS: readonly StageTraits[] = STAGE_KINDS;

const BY_KIND = new Map<string, StageTraits>(KINDS.map((k) => [k.kind, k]));

/** Of the kind of a stage or a step; nothing for a step that no stage is, such as getting a herb ready. */
export const traitsOf = (kind: string | undefined): StageTraits | undefined => BY_KIND.get(kind ?? "");
