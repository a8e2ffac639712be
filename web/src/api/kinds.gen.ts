/** The kinds that core knows, with what can be asked of them; written by tools/api-types. */

export const CONDITION_KINDS = [
  {
    "group": "now",
    "kind": "pregnant"
  },
  {
    "group": "now",
    "kind": "breastfeeding"
  },
  {
    "group": "heart-and-pressure",
    "kind": "high-blood-pressure"
  },
  {
    "group": "heart-and-pressure",
    "kind": "low-blood-pressure"
  },
  {
    "group": "medicines",
    "kind": "blood-thinner"
  },
  {
    "group": "medicines",
    "kind": "diabetes-medicine"
  },
  {
    "group": "medicines",
    "kind": "sedative"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "gallbladder"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "kidney"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "liver"
  },
  {
    "group": "now",
    "kind": "surgery-planned"
  },
  {
    "group": "allergies",
    "kind": "daisy-allergy"
  },
  {
    "group": "allergies",
    "kind": "salicylate-allergy"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "reflux"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "stomach-irritation"
  },
  {
    "group": "heart-and-pressure",
    "kind": "heart"
  },
  {
    "group": "else",
    "kind": "epilepsy"
  },
  {
    "group": "else",
    "kind": "thyroid"
  },
  {
    "group": "medicines",
    "kind": "antidepressant"
  },
  {
    "group": "medicines",
    "kind": "immunosuppressant"
  },
  {
    "group": "else",
    "kind": "hormone-sensitive"
  },
  {
    "group": "medicines",
    "kind": "contraceptive-pill"
  },
  {
    "group": "medicines",
    "kind": "diuretic"
  },
  {
    "group": "allergies",
    "kind": "asthma"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "ulcer"
  },
  {
    "group": "stomach-liver-kidney",
    "kind": "kidney-stones"
  },
  {
    "group": "allergies",
    "kind": "carrot-allergy"
  },
  {
    "group": "else",
    "kind": "autoimmune"
  }
] as const;

export type Condition = (typeof CONDITION_KINDS)[number]["kind"];

export const CONDITION_GROUP_KINDS = [
  {
    "kind": "now"
  },
  {
    "kind": "medicines"
  },
  {
    "kind": "heart-and-pressure"
  },
  {
    "kind": "stomach-liver-kidney"
  },
  {
    "kind": "allergies"
  },
  {
    "kind": "else"
  }
] as const;

export type ConditionGroup = (typeof CONDITION_GROUP_KINDS)[number]["kind"];

export const CUT_KINDS = [
  {
    "kind": "whole"
  },
  {
    "kind": "sliced"
  },
  {
    "kind": "chopped"
  },
  {
    "kind": "bruised"
  },
  {
    "kind": "crushed"
  },
  {
    "kind": "grated"
  },
  {
    "kind": "ground"
  },
  {
    "kind": "paste"
  }
] as const;

export type Cut = (typeof CUT_KINDS)[number]["kind"];

export const FORM_KINDS = [
  {
    "kind": "fresh"
  },
  {
    "kind": "dried"
  }
] as const;

export type Form = (typeof FORM_KINDS)[number]["kind"];

export const RECEIVER_KINDS = [
  {
    "kind": "cups"
  },
  {
    "kind": "jug"
  },
  {
    "kind": "pot"
  },
  {
    "kind": "jar"
  },
  {
    "kind": "bottle"
  }
] as const;

export type Receiver = (typeof RECEIVER_KINDS)[number]["kind"];

export const UNIT_KINDS = [
  {
    "everyday": true,
    "kind": "g"
  },
  {
    "everyday": false,
    "kind": "kg"
  },
  {
    "everyday": false,
    "kind": "oz"
  },
  {
    "everyday": false,
    "kind": "lb"
  },
  {
    "everyday": false,
    "kind": "liang"
  },
  {
    "everyday": false,
    "kind": "qian"
  },
  {
    "everyday": false,
    "kind": "mL"
  },
  {
    "everyday": false,
    "kind": "L"
  },
  {
    "everyday": true,
    "kind": "tsp"
  },
  {
    "everyday": true,
    "kind": "tbsp"
  },
  {
    "everyday": true,
    "kind": "cup"
  },
  {
    "everyday": false,
    "kind": "fl_oz"
  },
  {
    "everyday": false,
    "kind": "pint"
  },
  {
    "everyday": false,
    "kind": "quart"
  },
  {
    "everyday": false,
    "kind": "glass"
  },
  {
    "everyday": true,
    "kind": "pinch"
  },
  {
    "everyday": false,
    "kind": "dash"
  },
  {
    "everyday": false,
    "kind": "drop"
  },
  {
    "everyday": false,
    "kind": "mug"
  },
  {
    "everyday": false,
    "kind": "bottle"
  },
  {
    "everyday": true,
    "kind": "handful"
  },
  {
    "everyday": true,
    "kind": "in"
  },
  {
    "everyday": false,
    "kind": "cm"
  },
  {
    "everyday": true,
    "kind": "piece"
  },
  {
    "everyday": true,
    "kind": "slice"
  },
  {
    "everyday": false,
    "kind": "clove"
  },
  {
    "everyday": false,
    "kind": "leaf"
  },
  {
    "everyday": false,
    "kind": "pod"
  },
  {
    "everyday": false,
    "kind": "stick"
  },
  {
    "everyday": false,
    "kind": "flower"
  },
  {
    "everyday": false,
    "kind": "petal"
  },
  {
    "everyday": false,
    "kind": "sprig"
  },
  {
    "everyday": false,
    "kind": "wedge"
  },
  {
    "everyday": false,
    "kind": "thumb"
  },
  {
    "everyday": false,
    "kind": "bag"
  },
  {
    "everyday": false,
    "kind": "part"
  }
] as const;

export type Unit = (typeof UNIT_KINDS)[number]["kind"];

export const VESSEL_KINDS = [
  {
    "kind": "pot"
  },
  {
    "kind": "jar"
  },
  {
    "kind": "press"
  },
  {
    "kind": "teapot"
  },
  {
    "kind": "thermos"
  },
  {
    "kind": "mug"
  }
] as const;

export type Vessel = (typeof VESSEL_KINDS)[number]["kind"];
