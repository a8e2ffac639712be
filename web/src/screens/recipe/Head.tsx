import type { RecipeDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import * as limit from "../../api/limit.gen";
import { NumberField, QuantityField, SelectField, TextField } from "../../parts/Field";
import { centimetres, millilitres } from "../../parts/say";
import { CupSize, OneOf, Stepper, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { MENSTRUA, TRADITIONS } from "./doc";
import type { Draft, Wrong } from "./draft";
import { HowTaken } from "./HowTaken";

interface HeadProps {
  draft: Draft;
  set: (d: Partial<Draft>) => void;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
  /** What it is called while nobody names it. */
  suggestion: string;
}

/** What the recipe makes, of what, and how it is taken: a sentence whose parts open in place. */
export function Head({ draft, set, setRecipe, wrong, suggestion }: HeadProps) {
  const r = draft.recipe;
  const complaints = [
    "cups",
    "cupMl",
    "pourMl",
    "alcoholPercent",
    "dilutionParts",
    "servingMl",
    "tradition",
    "keepsDays",
  ]
    .map(wrong)
    .filter(Boolean);
  return (
    <div className="mt-3">
      <TextField
        className="max-w-2xl text-2xl"
        label={say("recipe.name")}
        value={r.name ?? ""}
        placeholder={suggestion}
        wrong={wrong("name")}
        onChange={(name) => setRecipe({ name })}
      />
      <p className="mt-2 text-[1.12rem] text-muted leading-[2.1rem]">
        <Said
          of="recipe.makesOfFromTakenDosed"
          cups={
            <Word label={say("recipe.cups")} shown={say("common.cups", { n: r.cups ?? 0 })}>
              {() => (
                <Stepper
                  label={say("recipe.cupsWithin")}
                  value={r.cups ?? 1}
                  {...limit.CUPS}
                  unit={say("recipe.cupsWithin")}
                  onChange={(cups) => setRecipe({ cups })}
                />
              )}
            </Word>
          }
          cupSize={
            <Word label={say("recipe.sizeOfACup")} shown={millilitres(r.cupMl ?? 0)}>
              {() => <CupSize value={r.cupMl ?? 240} onChange={(cupMl) => setRecipe({ cupMl })} />}
            </Word>
          }
          liquid={<Liquid r={r} setRecipe={setRecipe} />}
          taken={<HowTaken posology={r.posology} setRecipe={setRecipe} />}
          tradition={
            <Word
              label={say("recipe.howTheDoseIsSaid")}
              shown={
                (TRADITIONS.find((t) => t.value === (r.tradition ?? "folk"))?.label ?? "").split(":")[0] ?? ""
              }
            >
              {() => (
                <OneOf
                  label={say("recipe.howTheDoseIsSaid")}
                  value={r.tradition ?? "folk"}
                  options={TRADITIONS as { value: NonNullable<RecipeDocument["tradition"]>; label: string }[]}
                  onPick={(tradition) => setRecipe({ tradition })}
                />
              )}
            </Word>
          }
          keeps={
            r.keepsDays !== undefined && (
              <Word
                label={say("recipe.howLongItKeeps")}
                shown={say("recipe.keepsSoLong", { days: r.keepsDays, fridge: r.keepsWhere === "fridge" })}
              >
                {() => (
                  <NumberField
                    label={say("recipe.daysItKeeps")}
                    value={r.keepsDays}
                    onChange={(keepsDays) => setRecipe({ keepsDays })}
                  />
                )}
              </Word>
            )
          }
        />
      </p>
      {complaints.map((c) => (
        <p key={c} className="text-sm text-stop">
          {c}
        </p>
      ))}
      <TextField
        className="mt-1 max-w-2xl"
        label={say("recipe.aboutIt")}
        most={length.ABOUT}
        value={draft.about}
        placeholder={say("recipe.traditionallyUsed")}
        onChange={(about) => set({ about })}
      />
    </div>
  );
}

/** Water or what else draws it, and how much at the start. */
function Liquid({ r, setRecipe }: { r: RecipeDocument; setRecipe: HeadProps["setRecipe"] }) {
  const kind = r.menstruum ?? "water";
  const ball = r.with?.includes("tea-ball") ?? false;
  const shown = say("recipe.liquid", {
    liquid: kind,
    amount: r.pourMl !== undefined && millilitres(r.pourMl),
    rim: r.headspaceCm !== undefined && centimetres(r.headspaceCm),
    over: r.headspaceCm === undefined && r.coverCm !== undefined && centimetres(r.coverCm),
    ball,
  });
  return (
    <Word label={say("recipe.waterToStartWith")} shown={shown}>
      {() => (
        <div className="flex w-64 flex-col gap-2">
          <QuantityField
            of="volume"
            label={say("recipe.howMuchEmptyForAs")}
            value={r.pourMl}
            onChange={(pourMl) => setRecipe({ pourMl, headspaceCm: undefined, coverCm: undefined })}
          />
          <QuantityField
            of="length"
            label={say("recipe.orFilledUpToBelow")}
            value={r.headspaceCm}
            onChange={(headspaceCm) => setRecipe({ headspaceCm, pourMl: undefined, coverCm: undefined })}
          />
          <QuantityField
            of="length"
            label={say("recipe.orStandingOverTheHerbs")}
            value={r.coverCm}
            onChange={(coverCm) => setRecipe({ coverCm, pourMl: undefined, headspaceCm: undefined })}
          />
          <SelectField
            label={say("recipe.ofWhat")}
            value={kind}
            options={MENSTRUA}
            onChange={(m) =>
              setRecipe({
                menstruum: m === "water" ? undefined : (m as RecipeDocument["menstruum"]),
                alcoholPercent: m === "spirit" ? 40 : undefined,
              })
            }
          />
          {r.menstruum === "spirit" && (
            <NumberField
              label={say("recipe.strengthOfTheSpirit")}
              value={r.alcoholPercent}
              onChange={(alcoholPercent) => setRecipe({ alcoholPercent })}
            />
          )}
          <label className="flex min-h-11 items-center gap-2">
            <Said
              of="recipe.theHerbsAreInA"
              field={
                <input
                  type="checkbox"
                  className="size-4 accent-[var(--ink)]"
                  checked={ball}
                  onChange={(e) => {
                    const others = (r.with ?? []).filter((w) => w !== "tea-ball");
                    const all: RecipeDocument["with"] = e.target.checked ? [...others, "tea-ball"] : others;
                    setRecipe({ with: all.length > 0 ? all : undefined });
                  }}
                />
              }
            />
          </label>
          <NumberField
            label={say("recipe.partsOfWaterToOne")}
            value={r.dilutionParts}
            onChange={(dilutionParts) => setRecipe({ dilutionParts, servingMl: undefined })}
          />
          <QuantityField
            of="volume"
            label={say("recipe.orOfItAtATime")}
            value={r.servingMl}
            onChange={(servingMl) => setRecipe({ servingMl, dilutionParts: undefined })}
          />
        </div>
      )}
    </Word>
  );
}
