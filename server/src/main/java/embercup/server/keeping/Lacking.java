package embercup.server.keeping;

import embercup.core.keeping.InTheHouse;
import embercup.core.materia.Materia;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import embercup.server.herbs.Herbary;
import embercup.server.platform.HouseWords;
import embercup.server.recipes.RecipeReading;
import embercup.server.recipes.RecipeResponse;
import embercup.server.recipes.Recipes;
import embercup.server.shelf.Shelf;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What of a recipe is not in the house. */
@Service
class Lacking {

    private final Recipes recipes;
    private final Shelf shelf;
    private final Herbary herbary;

    Lacking(Recipes recipes, Shelf shelf, Herbary herbary) {
        this.recipes = recipes;
        this.shelf = shelf;
        this.herbary = herbary;
    }

    /** What one recipe lacks. @param herbs as the cook calls them, in the order of the recipe */
    record LackingLine(UUID recipeId, List<String> herbs) {}

    /** Every kept recipe that lacks something; one that cannot be read is told by its own line and lacks nothing here. */
    List<LackingLine> all() {
        Materia materia = herbary.materia();
        InTheHouse house = shelf.inTheHouse();
        return recipes.all().stream()
                .flatMap(r -> readable(r).stream()
                        .map(read -> new LackingLine(
                                r.id(),
                                house.lacking(materia, read).stream()
                                        .map(h -> HouseWords.words().lower(h.common()))
                                        .toList())))
                .filter(l -> !l.herbs.isEmpty())
                .toList();
    }

    private static Optional<Recipe> readable(RecipeResponse kept) {
        try {
            return Optional.of(RecipeReading.read(kept.recipe(), "recipe"));
        } catch (InvalidInputException e) {
            return Optional.empty();
        }
    }
}
