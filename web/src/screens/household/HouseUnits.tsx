import { useKeepPlace } from "../../api/changes";
import type { KitchenResponse, PlaceRequest } from "../../api/client";
import { Trouble } from "../../parts/states";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

type Units = NonNullable<PlaceRequest["units"]>;

const TEMPERATURES = [
  { value: "celsius", label: say("household.celsius"), gloss: say("household.waterBoilsAt100") },
  { value: "fahrenheit", label: say("household.fahrenheit"), gloss: say("household.waterBoilsAt212") },
];
const WEIGHTS = [
  { value: "grams", label: say("household.grams") },
  { value: "ounces", label: say("household.ounces"), gloss: say("household.16ToThePound") },
];
const VOLUMES = [
  { value: "millilitres", label: say("household.millilitres") },
  { value: "fluid-ounces", label: say("household.fluidOunces"), gloss: say("household.ofTheSpoonsAndCups") },
];
const LENGTHS = [
  { value: "centimetres", label: say("household.centimetres") },
  { value: "inches", label: say("household.inches"), gloss: say("household.inEighthsAndHeightAbove") },
];
const HOURS = [
  { value: "twenty-four", label: say("household.24Hours"), gloss: "21:05" },
  { value: "twelve", label: say("household.12Hours"), gloss: say("household.905Pm") },
];
const DATES = [
  { value: "day-month", label: say("household.26Nov") },
  { value: "month-day", label: say("household.nov26") },
  { value: "year-month-day", label: "2026-11-26" },
];
const SETS: { words: string; units: Units }[] = [
  {
    words: say("household.allMetric"),
    units: {
      temperatures: "celsius",
      weights: "grams",
      volumes: "millilitres",
      lengths: "centimetres",
      hours: "twenty-four",
      dates: "day-month",
    },
  },
  {
    words: say("household.allAsInTheUs"),
    units: {
      temperatures: "fahrenheit",
      weights: "ounces",
      volumes: "fluid-ounces",
      lengths: "inches",
      hours: "twelve",
      dates: "month-day",
    },
  },
];

/** In which units this house reads its numbers: a sentence whose words are changed where they stand, kept at once. */
export function HouseUnits({ kitchen }: { kitchen: KitchenResponse }) {
  const { mutate, error } = useKeepPlace();
  const { units } = kitchen;
  const set = (part: Units) => mutate({ version: kitchen.version, units: part });
  const word = (
    label: string,
    part: keyof Units,
    options: { value: string; label: string; gloss?: string }[],
  ) => (
    <Word label={label} shown={options.find((o) => o.value === units[part])?.label ?? "?"}>
      {() => (
        <OneOf
          label={label}
          value={units[part] ?? ""}
          options={options}
          onPick={(v) => set({ [part]: v } as Units)}
        />
      )}
    </Word>
  );
  return (
    <>
      <p className="mt-2 max-w-md leading-8">
        <Said
          of="household.hereWaterBoilsInHerbs"
          temperatures={word(say("household.temperatures"), "temperatures", TEMPERATURES)}
          weights={word(say("household.weights"), "weights", WEIGHTS)}
          volumes={word(say("household.volumes"), "volumes", VOLUMES)}
          lengths={word(say("household.lengths"), "lengths", LENGTHS)}
          hours={word(say("household.hours"), "hours", HOURS)}
          dates={word(say("household.dates"), "dates", DATES)}
        />
      </p>
      <p className="flex flex-wrap gap-x-5 text-sm">
        {SETS.map((s) => (
          <button
            key={s.words}
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => set(s.units)}
          >
            {s.words}
          </button>
        ))}
      </p>
      <p className="max-w-md text-muted text-sm">{say("household.whatARecipeSaysStays")}</p>
      {error != null && <Trouble error={error} />}
    </>
  );
}
