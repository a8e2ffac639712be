import type { RecipeDocument } from "../../api/client";
import { conditionsSaid } from "../../parts/conditions";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** What the recipe says that nothing is reckoned from, and whom it is not for; as it was written, and changed here. */
export function Notes({
  recipe,
  setRecipe,
}: {
  recipe: RecipeDocument;
  setRecipe: (r: Partial<RecipeDocument>) => void;
}) {
  const notes = recipe.notes ?? [];
  const notFor = [
    ...(recipe.notFor?.length ? [conditionsSaid(recipe.notFor)] : []),
    ...(recipe.notUnderYears ? [say("recipe.underYears", { years: recipe.notUnderYears })] : []),
  ];
  return (
    <section aria-labelledby="notes" className="mt-6 max-w-3xl">
      {notFor.length > 0 && (
        <p className="border-stop border-l-4 pl-2">
          <Said
            of="recipe.notFor"
            whom={notFor.join("; ")}
            takeOut={
              <button
                type="button"
                className="min-h-11 text-muted underline underline-offset-4"
                onClick={() => setRecipe({ notFor: undefined, notUnderYears: undefined })}
              >
                {say("recipe.takeThatOut")}
              </button>
            }
          />
        </p>
      )}
      <h2 id="notes" className="text-muted text-sm [font-stretch:100%]">
        {say("recipe.notes")}
      </h2>
      <textarea
        aria-labelledby="notes"
        rows={Math.min(8, Math.max(2, notes.length + 1))}
        value={notes.join("\n")}
        placeholder={say("recipe.whateverElseIsToBe")}
        onChange={(e) => setRecipe({ notes: e.target.value === "" ? undefined : e.target.value.split("\n") })}
        className="mt-1 w-full rounded-one border border-hairline bg-transparent p-2 placeholder:text-muted"
      />
    </section>
  );
}
