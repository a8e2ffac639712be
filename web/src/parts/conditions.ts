import type { Person } from "../api/shapes";

/** What is to be minded of somebody who drinks, in the order and the groups in which one would ask. */
export const CONDITION_GROUPS = [
  {
    of: "Now",
    all: [
      ["pregnant", "pregnant"],
      ["breastfeeding", "breastfeeding"],
      ["surgery-planned", "an operation planned"],
    ],
  },
  {
    of: "Medicines",
    all: [
      ["blood-thinner", "blood thinner"],
      ["diabetes-medicine", "diabetes medicine"],
      ["sedative", "sedative"],
      ["antidepressant", "antidepressant"],
      ["immunosuppressant", "immunosuppressant"],
      ["contraceptive-pill", "the pill"],
      ["diuretic", "water tablets, low potassium"],
    ],
  },
  {
    of: "Heart and pressure",
    all: [
      ["high-blood-pressure", "high blood pressure"],
      ["low-blood-pressure", "low blood pressure"],
      ["heart", "heart disease"],
    ],
  },
  {
    of: "Stomach, liver, kidney",
    all: [
      ["stomach-irritation", "irritable stomach"],
      ["reflux", "reflux"],
      ["ulcer", "stomach ulcer"],
      ["gallbladder", "gallstones"],
      ["liver", "liver disease"],
      ["kidney", "kidney disease"],
      ["kidney-stones", "kidney stones"],
    ],
  },
  {
    of: "Allergies and asthma",
    all: [
      ["daisy-allergy", "daisy family"],
      ["carrot-allergy", "carrot family"],
      ["salicylate-allergy", "salicylates, aspirin"],
      ["asthma", "asthma"],
    ],
  },
  {
    of: "Else",
    all: [
      ["epilepsy", "epilepsy"],
      ["thyroid", "thyroid disease"],
      ["hormone-sensitive", "hormone-sensitive disease"],
      ["autoimmune", "autoimmune disease"],
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
      c === "pregnant" && trimester ? `pregnant, ${ORDINAL[trimester - 1]} trimester` : condition(c),
    )
    .join(", ");
}

/** Somebody to choose, with what is known of her. */
export const personOption = (p: Person) => ({
  value: p.id,
  label: p.name,
  gloss: conditionsSaid(p.conditions, p.trimester) || `${p.ageYears} years`,
});

const ORDINAL = ["first", "second", "third"];

/** Nobody said is an adult with nothing to be minded; somebody said who is not of the household is nobody near. */
export const personName = (id: string | undefined, people: readonly Person[] | undefined): string =>
  id ? (people?.find((p) => p.id === id)?.name ?? "somebody who is not kept any more") : "an adult";
