import { CONDITION_GROUP_KINDS, CONDITION_KINDS } from "../api/kinds.gen";
import type { Person } from "../api/shapes";
import { kindSaid } from "../words/kinds";
import { say } from "../words/say";

/** What is to be minded of somebody who drinks, in the groups in which one would ask. */
export const CONDITION_GROUPS = CONDITION_GROUP_KINDS.map((g) => ({
  of: say(`conditionGroup.${g.kind}`),
  all: CONDITION_KINDS.filter((c) => c.group === g.kind).map(
    (c) => [c.kind, say(`condition.${c.kind}`)] as const,
  ),
}));

/** A condition as it is said in a line. */
export const condition = (code: string) => kindSaid("condition", code);

/** Several of them; the trimester stands with the pregnancy. */
export function conditionsSaid(codes: string[], trimester?: number | null): string {
  return codes
    .map((c) =>
      c === "pregnant" && trimester ? say("common.pregnantTrimester", { trimester }) : condition(c),
    )
    .join(", ");
}

/** Somebody to choose, with what is known of her. */
export const personOption = (p: Person) => ({
  value: p.id,
  label: p.name,
  gloss: conditionsSaid(p.conditions, p.trimester) || say("common.years", { years: p.ageYears }),
});

/** Nobody said is an adult with nothing to be minded; somebody said who is not of the household is nobody near. */
export const personName = (id: string | undefined, people: readonly Person[] | undefined): string =>
  id ? (people?.find((p) => p.id === id)?.name ?? say("common.somebodyWhoIsNotKept")) : say("common.anAdult");
