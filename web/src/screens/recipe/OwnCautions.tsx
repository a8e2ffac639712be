import type { HerbLine, OwnCaution, RecipeDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import { Conditions } from "../../parts/Conditions";
import { conditionsSaid } from "../../parts/conditions";
import { NumberField, Secondary, SelectField, TextField } from "../../parts/Field";
import { Word } from "../../parts/Word";
import { say } from "../../words/say";
import { placeWords } from "./doc";
import type { Wrong } from "./draft";

type About = NonNullable<OwnCaution["about"]>;

const ABOUTS: readonly { value: About; label: string }[] = [
  { value: "herb", label: say("recipe.ofAHerb") },
  { value: "step", label: say("recipe.atAStep") },
  { value: "taking", label: say("recipe.whenTakingIt") },
  { value: "keeping", label: say("recipe.whenKeepingIt") },
  { value: "who", label: say("recipe.whomItIsNotFor") },
];

const FIELDS = ["text", "herb", "stage", "conditions", "underYears"];

/** What the recipe itself warns of: each a sentence, with its place. */
export function OwnCautions({
  recipe,
  herbs,
  wrong,
  setRecipe,
}: {
  recipe: RecipeDocument;
  herbs: HerbLine[];
  wrong: Wrong;
  setRecipe: (r: Partial<RecipeDocument>) => void;
}) {
  const told = recipe.told ?? [];
  const set = (next: OwnCaution[]) => setRecipe({ told: next.length > 0 ? next : undefined });
  const named = [...new Set((recipe.additions ?? []).flatMap((a) => a.herb ?? []))].map((slug) => ({
    value: slug,
    label: herbs.find((h) => h.slug === slug)?.named ?? slug,
  }));
  const steps = placeWords(recipe.stages ?? []);
  return (
    <section aria-labelledby="own-cautions" className="mt-6 max-w-3xl">
      <h2 id="own-cautions" className="text-muted text-sm [font-stretch:100%]">
        {say("recipe.itsOwnCautions")}
      </h2>
      <ul className="mt-1">
        {told.map((c, i) => (
          <li key={i} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-hairline border-b py-1.5">
            <Word label={say("recipe.placeOfCaution", { n: i + 1 })} shown={placeOf(c, named, steps)}>
              {() => (
                <Place
                  caution={c}
                  herbs={named}
                  steps={steps}
                  onChange={(next) => set(told.map((t, j) => (j === i ? next : t)))}
                />
              )}
            </Word>
            <TextField
              className="min-w-64 grow"
              quiet
              label={say("recipe.caution", { n: i + 1 })}
              placeholder={say("recipe.aWholeSentence")}
              most={length.NOTE}
              value={c.text ?? ""}
              wrong={FIELDS.map((f) => wrong(`told[${i}].${f}`)).find(Boolean)}
              onChange={(text) => set(told.map((t, j) => (j === i ? { ...t, text } : t)))}
            />
            <button
              type="button"
              className="min-h-11 text-muted underline underline-offset-4"
              aria-label={say("recipe.takeOutCaution", { n: i + 1 })}
              onClick={() => set(told.filter((_, j) => j !== i))}
            >
              {say("recipe.takeThatOut")}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <Secondary onClick={() => set([...told, { text: "", about: "taking" }])}>
          {say("recipe.addACaution")}
        </Secondary>
      </div>
    </section>
  );
}

type Options = readonly { value: string; label: string }[];

const labelOf = (options: Options, value: string) => options.find((o) => o.value === value)?.label;

/** Where a caution belongs, as a word of its line. */
function placeOf(c: OwnCaution, herbs: Options, steps: Options): string {
  switch (c.about) {
    case "herb":
      return labelOf(herbs, c.herb ?? "") ?? say("recipe.whichHerb");
    case "step":
      return labelOf(steps, String(c.stage ?? "")) ?? say("recipe.whichStep");
    case "who": {
      const people = [
        ...(c.conditions?.length ? [conditionsSaid(c.conditions)] : []),
        ...(c.underYears !== undefined ? [say("recipe.underYears", { years: c.underYears })] : []),
      ];
      return people.length > 0
        ? say("recipe.notForPeople", { people: people.join("; ") })
        : say("recipe.whomItIsNotFor");
    }
    case "taking":
    case "keeping":
    case undefined:
      return labelOf(ABOUTS, c.about ?? "taking") ?? "";
    default: {
      const none: never = c.about;
      return none;
    }
  }
}

/** A caution about something else keeps its words alone. */
function about(caution: OwnCaution, value: About, herbs: Options): OwnCaution {
  const { text } = caution;
  switch (value) {
    case "herb":
      return { text, about: value, herb: caution.herb ?? herbs[0]?.value };
    case "step":
      return { text, about: value, stage: caution.stage ?? 0 };
    case "who":
      return { text, about: value, conditions: caution.conditions, underYears: caution.underYears };
    case "taking":
    case "keeping":
      return { text, about: value };
    default: {
      const none: never = value;
      return none;
    }
  }
}

function Place({
  caution: c,
  herbs,
  steps,
  onChange,
}: {
  caution: OwnCaution;
  herbs: Options;
  steps: Options;
  onChange: (c: OwnCaution) => void;
}) {
  return (
    <div className="flex w-72 flex-col gap-2">
      <SelectField
        label={say("recipe.itIsAbout")}
        value={c.about ?? "taking"}
        options={ABOUTS}
        onChange={(value) => onChange(about(c, value, herbs))}
      />
      {c.about === "herb" && (
        <SelectField
          label={say("recipe.whichHerb")}
          value={c.herb ?? ""}
          options={herbs}
          onChange={(herb) => onChange({ ...c, herb })}
        />
      )}
      {c.about === "step" && (
        <SelectField
          label={say("recipe.whichStep")}
          value={String(c.stage ?? 0)}
          options={steps}
          onChange={(stage) => onChange({ ...c, stage: Number(stage) })}
        />
      )}
      {c.about === "who" && (
        <>
          <NumberField
            label={say("recipe.youngerThan")}
            unit={say("recipe.yearsUnit")}
            value={c.underYears}
            onChange={(underYears) => onChange({ ...c, underYears })}
          />
          <div className="max-h-64 overflow-auto">
            <Conditions
              conditions={c.conditions ?? []}
              onConditions={(all) =>
                onChange({
                  ...c,
                  conditions: all.length > 0 ? (all as OwnCaution["conditions"]) : undefined,
                })
              }
            />
          </div>
        </>
      )}
    </div>
  );
}
