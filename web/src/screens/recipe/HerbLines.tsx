import type { AdditionDocument, RecipeDocument } from "../../api/client";
import { NumberField, Secondary, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { CUTS, FORMS, placeWords, UNITS } from "./doc";
import type { Wrong } from "./draft";

/** Every herb of the recipe, a line each. */
export function HerbLines({
  recipe,
  setRecipe,
  wrong,
}: {
  recipe: RecipeDocument;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const additions = recipe.additions ?? [];
  const stages = recipe.stages ?? [];
  const change = (i: number, part: Partial<AdditionDocument>) =>
    setRecipe({ additions: additions.map((a, j) => (j === i ? { ...a, ...part } : a)) });
  return (
    <>
      <ul className="mt-1 border-hairline border-t">
        {additions.map((a, i) => (
          <li
            key={i}
            className="grid grid-cols-[4.5rem_5.5rem_minmax(0,1fr)_2.75rem] items-start gap-x-3 gap-y-1 border-hairline border-b py-1.5 md:grid-cols-[4.5rem_5.5rem_minmax(0,1.4fr)_6rem_6.5rem_minmax(0,1fr)_2.75rem]"
          >
            <NumberField
              quiet
              label={`Amount of herb ${i + 1}`}
              value={a.amount}
              wrong={wrong(`additions[${i}].amount`)}
              onChange={(amount) => change(i, { amount })}
            />
            <SelectField
              quiet
              label={`Unit of herb ${i + 1}`}
              value={a.unit ?? "g"}
              options={UNITS}
              wrong={wrong(`additions[${i}].unit`)}
              onChange={(unit) => change(i, { unit })}
            />
            <HerbPicker
              label={`Herb ${i + 1}`}
              value={a.herb ?? ""}
              wrong={wrong(`additions[${i}].herb`)}
              onPick={(herb) => change(i, { herb })}
            />
            <button
              type="button"
              aria-label={`Take herb ${i + 1} out`}
              className="min-h-11 text-muted text-xl hover:text-ink md:order-last"
              onClick={() => setRecipe({ additions: additions.filter((_, j) => j !== i) })}
            >
              ×
            </button>
            <SelectField
              quiet
              className="max-md:col-start-1"
              label={`Form of herb ${i + 1}`}
              value={a.form ?? "dried"}
              options={FORMS}
              onChange={(form) => change(i, { form: form as AdditionDocument["form"] })}
            />
            <SelectField
              quiet
              label={`Cut of herb ${i + 1}`}
              value={a.cut ?? "chopped"}
              options={CUTS}
              onChange={(cut) => change(i, { cut: cut as AdditionDocument["cut"] })}
            />
            {stages.length > 0 && (
              <SelectField
                quiet
                label={`Where herb ${i + 1} goes in`}
                value={String(a.stage ?? 0)}
                options={placeWords(stages)}
                wrong={wrong(`additions[${i}].stage`)}
                onChange={(stage) => change(i, { stage: Number(stage) })}
              />
            )}
            <TextField
              quiet
              className="col-span-3 md:col-start-3 md:col-end-7"
              label={`Preparation of herb ${i + 1}`}
              placeholder="prepared as the book has it"
              most={80}
              value={a.prep ?? ""}
              wrong={wrong(`additions[${i}].prep`)}
              onChange={(prep) => change(i, { prep: prep || undefined })}
            />
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <Secondary
          onClick={() =>
            setRecipe({
              additions: [
                ...additions,
                { herb: "", form: "dried", cut: "chopped", amount: 1, unit: "tsp", stage: 0 },
              ],
            })
          }
        >
          Another herb
        </Secondary>
      </div>
    </>
  );
}
