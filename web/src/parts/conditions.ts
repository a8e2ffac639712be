import type { Person } from "../api/shapes";
import { say } from "../words/say";

/** What is to be minded of somebody who drinks, in the order and the groups in which one would ask. */
export const CONDITION_GROUPS = [
  {
    of: say("common.now"),
    all: [
      ["pregnant", "pregnant"],
      ["breastfeeding", "breastfeeding"],
      ["surgery-planned", say("common.anOperationPlanned")],
    ],
  },
  {
    of: say("common.medicines"),
    all: [
      ["blood-thinner", say("common.bloodThinner")],
      ["diabetes-medicine", say("common.diabetesMedicine")],
      ["sedative", "sedative"],
      ["antidepressant", "antidepressant"],
      ["immunosuppressant", "immunosuppressant"],
      ["contraceptive-pill", say("common.thePill")],
      ["diuretic", say("common.waterTabletsLowPotassium")],
    ],
  },
  {
    of: say("common.heartAndPressure"),
    all: [
      ["high-blood-pressure", say("common.highBloodPressure")],
      ["low-blood-pressure", say("common.lowBloodPressure")],
      ["heart", say("common.heartDisease")],
    ],
  },
  {
    of: "Stomach, liver, kidney",
    all: [
      ["stomach-irritation", say("common.irritableStomach")],
      ["reflux", "reflux"],
      ["ulcer", say("common.stomachUlcer")],
      ["gallbladder", "gallstones"],
      ["liver", say("common.liverDisease")],
      ["kidney", say("common.kidneyDisease")],
      ["kidney-stones", say("common.kidneyStones")],
    ],
  },
  {
    of: say("common.allergiesAndAsthma"),
    all: [
      ["daisy-allergy", say("common.daisyFamily")],
      ["carrot-allergy", say("common.carrotFamily")],
      ["salicylate-allergy", "salicylates, aspirin"],
      ["asthma", "asthma"],
    ],
  },
  {
    of: say("common.else"),
    all: [
      ["epilepsy", "epilepsy"],
      ["thyroid", say("common.thyroidDisease")],
      ["hormone-sensitive", say("common.hormoneSensitiveDisease")],
      ["autoimmune", say("common.autoimmuneDisease")],
    ],
  },
] as const;

const WORDS = new Map<string, string>(
  CONDITION_GROUPS.flatMap((g) => g.all.map(([code, words]) => [code, words])),
);

/** A condition as it is said in a line. */
export const condition = (code: string) => WORDS.get(code) ?? code.replaceAll("-", " ");

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
