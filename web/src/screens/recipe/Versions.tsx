import { useState } from "react";
import { Link } from "react-router";
import { useRemoveRecipe } from "../../api/changes";
import type { RecipeDocument, RecipeResponse } from "../../api/client";
import { useVersions } from "../../api/queries";
import { Secondary } from "../../parts/Field";
import { day } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** Somebody changed it meanwhile: both stay until the cook decides. */
export function Stale({
  theirs,
  onMine,
  onTheirs,
}: {
  theirs: RecipeResponse;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <div role="alert" className="mt-4 border-amber border-l-4 pl-4">
      <p className="max-w-prose">
        <Said
          of="recipe.thisRecipeWasChangedElsewhere"
          day={day(theirs.updatedAt)}
          name={theirs.recipe.name}
          herbs={theirs.recipe.additions?.length ?? 0}
          stages={theirs.recipe.stages?.length ?? 0}
        />
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Secondary onClick={onMine}>{say("recipe.keepMineTheirsStaysAs")}</Secondary>
        <Secondary onClick={onTheirs}>{say("recipe.showTheirsInstead")}</Secondary>
      </div>
    </div>
  );
}

/** What the recipe was before; a copy of it, and the way off the list. */
export function Versions({
  id,
  onTake,
  onRemoved,
}: {
  id: string;
  onTake: (v: { about: string; purposes: string[]; recipe: RecipeDocument }) => void;
  onRemoved: () => void;
}) {
  const versions = useVersions(id);
  const remove = useRemoveRecipe();
  const [sure, setSure] = useState(false);
  return (
    <section aria-labelledby="versions">
      <h2 id="versions" className="text-xl">
        {say("recipe.before")}
      </h2>
      {versions.data?.length === 0 && <p className="mt-1 text-muted">{say("recipe.itHasNotBeenChanged")}</p>}
      <ul className="mt-1 border-hairline border-t">
        {versions.data?.map((v) => (
          <li
            key={v.version}
            className="flex items-baseline justify-between gap-3 border-hairline border-b py-2"
          >
            <span>
              <Said
                of="recipe.untilHerbs"
                day={day(v.until)}
                name={v.recipe.name}
                herbs={v.recipe.additions?.length ?? 0}
              />
            </span>
            <button
              type="button"
              className="relative max-sm:reach underline underline-offset-4"
              onClick={() => onTake(v)}
            >
              {say("recipe.takeItUpAgain")}
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-4 flex flex-wrap gap-x-5">
        <Link className="relative max-sm:reach underline underline-offset-4" to={`/recipe/new?copy=${id}`}>
          {say("recipe.copyIt")}
        </Link>
        {sure ? (
          <button
            type="button"
            className="text-stop underline underline-offset-4"
            onClick={() => remove.mutate(id, { onSuccess: onRemoved })}
          >
            {say("recipe.yesTakeItOffThe")}
          </button>
        ) : (
          <button
            type="button"
            className="relative max-sm:reach underline underline-offset-4"
            onClick={() => setSure(true)}
          >
            {say("recipe.takeItOffTheList")}
          </button>
        )}
      </p>
      {remove.error && <Trouble error={remove.error} />}
    </section>
  );
}
