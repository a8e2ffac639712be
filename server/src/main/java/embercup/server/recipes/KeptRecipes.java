package embercup.server.recipes;

import embercup.server.kept.KeptJson;
import embercup.server.kept.KeptKind;
import java.util.List;
import org.springframework.stereotype.Component;

/** Recipes as they are kept: of the household, in their earlier versions, with a course. Immutable. */
@Component
public final class KeptRecipes {

    private final KeptKind<RecipeDocument> kind;

    KeptRecipes(KeptJson json) {
        this.kind = json.ofWire("recipe", RecipeDocument.class, List.of());
    }

    public String write(RecipeDocument recipe) {
        return kind.write(recipe);
    }

    /** @throws RuntimeException when it cannot be read, or a later version wrote it */
    public RecipeDocument read(String document) {
        return kind.read(document);
    }
}
