import type { Condition, ConditionGroup, Cut, Form, Receiver, Unit, Vessel } from "../api/kinds.gen";
import type { StageKind } from "../api/stages.gen";
import { catalogue, type Key } from "./catalogue";
import { say } from "./say";

/** The families of kinds whose members are named in the catalogue, each under its own prefix. */
type Named =
  | `condition.${Condition}`
  | `conditionGroup.${ConditionGroup}`
  | `cut.${Cut}`
  | `form.${Form}`
  | `receiver.${Receiver}`
  | `stage.${StageKind}`
  | `unit.${Unit}`
  | `vessel.${Vessel}`;

/** A kind that has no word does not compile. */
const named = (key: Named): Key => key;

type Family = "condition" | "cut" | "form" | "receiver" | "stage" | "unit" | "vessel";

/** The word of a kind by its code; of one that this page does not know, the code as it is. */
export function kindSaid(family: Family, code: string, n = 1): string {
  const key = `${family}.${code}`;
  return key in catalogue ? say(named(key as Named), { n: Math.max(n, 1) }) : code.replaceAll("-", " ");
}

export const cutSaid = (code: string) => kindSaid("cut", code);

export const formSaid = (code: string) => kindSaid("form", code);

/** A unit after its amount: "tsp", "leaves". */
export const unitSaid = (code: string, n: number) => kindSaid("unit", code, n);
