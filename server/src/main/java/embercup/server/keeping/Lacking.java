package embercup.server.keeping;

import embercup.core.keeping.InTheHouse;
import embercup.core.materia.Materia;
import embercup.core.workings.InvalidInputException;
import embercup.server.herbs.HouseMateria;
import embercup.server.platform.HouseWords;
import embercup.server.recipes.RecipeFromDocument;
import embercup.server.recipes.RecipeResponse;
import embercup.server.recipes.Recipes;
import embercup.server.shelf.Shelf;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What of a recipe is not in the house. */
@Service
class Lacking {

    private final Recipes recipes;
    private final Shelf shelf;
    private final HouseMateria houseMateria;

    Lacking(Recipes recipes, Shelf shelf, HouseMateria houseMateria) {
        this.recipes = recipes;
        this.shelf = shelf;
        this.houseMateria = houseMateria;
    }

    /** What one recipe lacks. @param herbs as the cook calls them, in the order of the recipe */
    record LackingLine(UUID recipeId, List<String> herbs) {}

    /** Every kept recipe that lacks something; one that cannot be read is told by its own line and lacks nothing here. */
    List<LackingLine> all() {
        Materia materia = houseMateria.materia();
        InTheHouse house = shelf.inTheHouse();
        return recipes.all().stream()
                .map(r -> new LackingLine(r.id(), lacking(r, house, materia)))
                .filter(l -> !l.herbs.isEmpty())
                .toList();
    }

    private static List<String> lacking(RecipeResponse kept, InTheHouse house, Materia materia) {
        try {
            return house.lacking(materia, RecipeFromDocument.read(kept.recipe(), "recipe")).stream()
                    .map(h -> HouseWords.words().lower(h.common()))
                    .toList();
        } catch (InvalidInputException e) {
            return List.of();
        }
    }
}
