/** What a stage of a kind can do, and what it says when nobody says otherwise (recipe.StageKind of core); written by tools/api-types. */

export const STAGE_KINDS = [
  {
    "boils": false,
    "degrees": true,
    "flame": "high",
    "heats": true,
    "infuses": false,
    "kind": "heat",
    "lid": true,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": true,
    "heats": true,
    "infuses": false,
    "kind": "pour",
    "takesWater": false,
    "worked": false
  },
  {
    "boils": true,
    "degrees": false,
    "flame": "medium",
    "heats": true,
    "infuses": true,
    "kind": "boil",
    "lid": false,
    "minutes": 5,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": true,
    "degrees": false,
    "flame": "low",
    "heats": true,
    "infuses": true,
    "kind": "simmer",
    "lid": true,
    "minutes": 20,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": true,
    "flame": "low",
    "heats": true,
    "infuses": true,
    "kind": "hold",
    "lid": true,
    "minutes": 20,
    "takesWater": false,
    "toC": 85,
    "worked": false
  },
  {
    "boils": true,
    "degrees": false,
    "flame": "medium",
    "heats": true,
    "infuses": true,
    "kind": "reduce",
    "lid": false,
    "takesWater": false,
    "toMl": 480,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": true,
    "kind": "steep",
    "lid": true,
    "minutes": 10,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": true,
    "heats": false,
    "infuses": true,
    "kind": "macerate",
    "lid": true,
    "minutes": 480,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": true,
    "kind": "rest",
    "lid": true,
    "minutes": 5,
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": true,
    "heats": false,
    "infuses": false,
    "kind": "cool",
    "lid": false,
    "takesWater": false,
    "toC": 60,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "strain",
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "refill",
    "takesWater": false,
    "toMl": 480,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "combine",
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "finish",
    "takesWater": false,
    "worked": false
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "stir",
    "takesWater": false,
    "worked": true
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "shake",
    "takesWater": false,
    "worked": true
  },
  {
    "boils": false,
    "degrees": false,
    "heats": false,
    "infuses": false,
    "kind": "blend",
    "takesWater": true,
    "worked": true
  }
] as const;

export type StageKind = (typeof STAGE_KINDS)[number]["kind"];
