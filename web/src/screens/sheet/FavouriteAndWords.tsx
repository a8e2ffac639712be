import { useSayOfRecipe } from "../../api/changes";
import { type RecipeResponse, wrongOf } from "../../api/client";
import * as length from "../../api/length.gen";
import { FavouriteMark } from "../../parts/PotList";
import { Trouble } from "../../parts/states";
import { Word } from "../../parts/Word";
import { say } from "../../words/say";
import { TextTyped } from "../household/inPlace";

/** What the household says of a recipe for itself: whether it is a favourite, and its own words to find it by. */
export function FavouriteAndWords({ recipe }: { recipe: RecipeResponse }) {
  const keep = useSayOfRecipe(recipe.id);
  const wrong = wrongOf(keep.error);
  const complaint = wrong("words") ?? wrong("words[0]");
  return (
    <span className="py-0.5">
      <Word quiet label={say("sheet.whatWeSayOfIt")} shown={say("sheet.ours")}>
        {(close) => (
          <div className="flex flex-col gap-3">
            <button
              type="button"
              aria-pressed={recipe.favourite}
              className="flex min-h-11 items-center gap-2 text-left underline underline-offset-4"
              onClick={() => keep.mutate({ favourite: !recipe.favourite })}
            >
              {recipe.favourite && <FavouriteMark />}
              {recipe.favourite ? say("sheet.itIsAFavourite") : say("sheet.makeItAFavourite")}
            </button>
            <TextTyped
              label={say("sheet.ourOwnWordsForIt")}
              start={recipe.words.join(", ")}
              most={length.OWN_WORDS * (length.PURPOSE + 2)}
              wrong={complaint}
              onKeep={(typed) =>
                keep.mutate(
                  {
                    words: typed
                      .split(",")
                      .map((w) => w.trim())
                      .filter(Boolean),
                  },
                  { onSuccess: close },
                )
              }
            />
            {keep.error && !complaint && <Trouble error={keep.error} />}
          </div>
        )}
      </Word>
    </span>
  );
}
