import type { RecipeDocument } from "../../api/client";
import { NumberField, SelectField, TextField } from "../../parts/Field";
import { MENSTRUA, TRADITIONS } from "./doc";
import type { Draft, Wrong } from "./draft";

/** What the recipe makes, from what, and how it is taken. */
export function Head({
  draft,
  set,
  setRecipe,
  wrong,
}: {
  draft: Draft;
  set: (d: Partial<Draft>) => void;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const r = draft.recipe;
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-4">
      <TextField
        className="col-span-2"
        label="Name"
        value={r.name ?? ""}
        wrong={wrong("name")}
        onChange={(name) => setRecipe({ name })}
      />
      <NumberField
        label="Cups"
        value={r.cups}
        wrong={wrong("cups")}
        onChange={(cups) => setRecipe({ cups })}
      />
      <NumberField
        label="Size of a cup"
        unit="mL"
        value={r.cupMl}
        wrong={wrong("cupMl")}
        onChange={(cupMl) => setRecipe({ cupMl })}
      />
      <SelectField
        className="col-span-2"
        label="Tradition: how the dose is said"
        value={r.tradition ?? "folk"}
        options={TRADITIONS}
        onChange={(t) => setRecipe({ tradition: t as RecipeDocument["tradition"] })}
      />
      <SelectField
        label="Drawn with"
        value={r.menstruum ?? "water"}
        options={MENSTRUA}
        onChange={(m) =>
          setRecipe({
            menstruum: m === "water" ? undefined : (m as RecipeDocument["menstruum"]),
            alcoholPercent: m === "spirit" ? 40 : undefined,
          })
        }
      />
      {r.menstruum === "spirit" ? (
        <NumberField
          label="Its strength"
          unit="%"
          value={r.alcoholPercent}
          wrong={wrong("alcoholPercent")}
          onChange={(alcoholPercent) => setRecipe({ alcoholPercent })}
        />
      ) : (
        <NumberField
          label="Water to start with"
          unit="mL"
          value={r.pourMl}
          wrong={wrong("pourMl")}
          onChange={(pourMl) => setRecipe({ pourMl })}
        />
      )}
      <TextField
        className="col-span-2 sm:col-span-3"
        label="About it"
        most={600}
        value={draft.about}
        placeholder="Traditionally used …"
        onChange={(about) => set({ about })}
      />
      <NumberField
        label="Diluted with parts of water"
        value={r.dilutionParts}
        wrong={wrong("dilutionParts")}
        onChange={(dilutionParts) => setRecipe({ dilutionParts })}
      />
      <Taken posology={r.posology} setRecipe={setRecipe} wrong={wrong} />
    </div>
  );
}

const WHEN = [
  { value: "any-time", label: "at any time" },
  { value: "with-food", label: "with food" },
  { value: "empty-stomach", label: "on an empty stomach" },
  { value: "before-bed", label: "before bed" },
];

/** Posology: how much of it, when, and for how long. Without cups a day the recipe does not say. */
function Taken({
  posology,
  setRecipe,
  wrong,
}: {
  posology: RecipeDocument["posology"];
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const set = (part: Partial<NonNullable<RecipeDocument["posology"]>>) => {
    const next = { ...posology, ...part };
    setRecipe({ posology: next.cupsADay === undefined ? undefined : next });
  };
  return (
    <>
      <NumberField
        label="Taken: cups a day"
        value={posology?.cupsADay}
        wrong={wrong("posology.cupsADay")}
        onChange={(cupsADay) => set({ cupsADay })}
      />
      {posology && (
        <>
          <SelectField
            label="When"
            value={posology.when ?? "any-time"}
            options={WHEN}
            onChange={(when) => set({ when: when as NonNullable<RecipeDocument["posology"]>["when"] })}
          />
          <NumberField
            label="Days in a row"
            value={posology.daysOn}
            wrong={wrong("posology.daysOn")}
            onChange={(daysOn) => set({ daysOn })}
          />
          <NumberField
            label="Then days off"
            value={posology.daysOff}
            wrong={wrong("posology.daysOff")}
            onChange={(daysOff) => set({ daysOff })}
          />
        </>
      )}
    </>
  );
}
