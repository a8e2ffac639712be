import { useKeepPlace } from "../../api/changes";
import type { KitchenResponse, PlaceRequest } from "../../api/client";
import { Trouble } from "../../parts/states";
import { OneOf, Word } from "../../parts/Word";

type Units = NonNullable<PlaceRequest["units"]>;

const TEMPERATURES = [
  { value: "celsius", label: "°C", gloss: "water boils at 100" },
  { value: "fahrenheit", label: "°F", gloss: "water boils at 212" },
];
const WEIGHTS = [
  { value: "grams", label: "grams" },
  { value: "ounces", label: "ounces", gloss: "16 to the pound" },
];
const VOLUMES = [
  { value: "millilitres", label: "millilitres" },
  { value: "fluid-ounces", label: "fluid ounces", gloss: "of the spoons and cups below" },
];
const LENGTHS = [
  { value: "centimetres", label: "centimetres" },
  { value: "inches", label: "inches", gloss: "in eighths, and height above the sea in feet" },
];
const HOURS = [
  { value: "twenty-four", label: "24 hours", gloss: "21:05" },
  { value: "twelve", label: "12 hours", gloss: "9:05 pm" },
];
const DATES = [
  { value: "day-month", label: "26 Nov" },
  { value: "month-day", label: "Nov 26" },
  { value: "year-month-day", label: "2026-11-26" },
];
const SETS: { words: string; units: Units }[] = [
  {
    words: "all metric",
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
    words: "all as in the US",
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
export function Reads({ kitchen }: { kitchen: KitchenResponse }) {
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
        Here water boils in {word("Temperatures", "temperatures", TEMPERATURES)}, herbs weigh{" "}
        {word("Weights", "weights", WEIGHTS)}, a jug shows {word("Volumes", "volumes", VOLUMES)} and a ruler{" "}
        {word("Lengths", "lengths", LENGTHS)}; a day has {word("Hours", "hours", HOURS)}, and a date is
        written {word("Dates", "dates", DATES)}.
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
      <p className="max-w-md text-muted text-sm">
        What a recipe says stays as it was written; spoons are always beside the weight.
      </p>
      {error != null && <Trouble error={error} />}
    </>
  );
}
