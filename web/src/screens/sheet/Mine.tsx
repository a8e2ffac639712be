import { useSayOfRecipe } from "../../api/changes";
import { type RecipeResponse, wrongOf } from "../../api/client";
import { FavouriteMark } from "../../parts/PotList";
import { Trouble } from "../../parts/states";
import { TextWord } from "../household/inPlace";

/** What the household says of a recipe for itself: whether it is a favourite, and its own words to find it by. */
export function Mine({ recipe }: { recipe: RecipeResponse }) {
  const say = useSayOfRecipe(recipe.id);
  const wrong = wrongOf(say.error);
  const complaint = wrong("words") ?? wrong("words[0]");
  return (
    <p className="no-print flex flex-wrap items-baseline gap-x-2 text-muted text-sm">
      <button
        type="button"
        aria-pressed={recipe.favourite}
        className="relative inline-flex items-baseline gap-1.5 underline underline-offset-4 max-sm:min-h-11"
        onClick={() => say.mutate({ favourite: !recipe.favourite })}
      >
        {recipe.favourite && <FavouriteMark />}
        {recipe.favourite ? "a favourite" : "make it a favourite"}
      </button>
      <span aria-hidden>·</span>
      <TextWord
        quiet
        label="Our own words for it, with commas between"
        shown={recipe.words.length > 0 ? recipe.words.join(", ") : "words of our own"}
        value={recipe.words.join(", ")}
        most={400}
        wrong={complaint}
        onKeep={(typed, close) =>
          say.mutate(
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
      {say.error && !complaint && <Trouble error={say.error} />}
    </p>
  );
}
