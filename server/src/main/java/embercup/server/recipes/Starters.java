package embercup.server.recipes;

import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.server.recipes.RecipeResponse.Thumb;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Pots for a household that has none yet: one poured, one simmered, one drawn cold. They are of our own, made from the materia's
 * usual doses; kept only when a cook takes one.
 */
@Component
class Starters {

    private final List<StarterResponse> pots;

    Starters(JsonMapper json, Planner planner) {
        List<Pot> all;
        try (InputStream in = new ClassPathResource("starters/pots.json").getInputStream()) {
            all = json.readValue(in, new TypeReference<>() {});
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.pots = all.stream().map(p -> p.planned(planner)).toList();
    }

    List<StarterResponse> pots() {
        return pots;
    }

    /** A pot as the file has it. */
    private record Pot(String about, List<String> purposes, RecipeDocument recipe) {
        StarterResponse planned(Planner planner) {
            var plan = planner.plan(PlanRequest.asWritten(RecipeFromDocument.read(recipe, "recipe")));
            return new StarterResponse(about, purposes, recipe, Recipes.thumb(plan));
        }
    }

    /** A pot that can be taken: a recipe that nobody keeps yet. */
    record StarterResponse(String about, List<String> purposes, RecipeDocument recipe, Thumb thumb) {}
}
