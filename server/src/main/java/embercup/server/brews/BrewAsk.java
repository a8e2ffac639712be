package embercup.server.brews;

import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanAsk.ChangeDoc;
import embercup.server.plans.PlanAsk.DrinkerDoc;
import embercup.server.plans.PlanAsk.KitchenDoc;
import embercup.server.recipes.RecipeDoc;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A plan request that becomes a brew.
 *
 * @param id made by the client, so that a repeat is harmless; made by the server when missing
 * @param start whether it begins now; otherwise it waits for its {@code started} event
 */
public record BrewAsk(
        @Nullable UUID id,
        @Nullable Boolean start,
        @Nullable UUID recipeId,
        @Nullable RecipeDoc recipe,
        @Nullable Double cups,
        @Nullable Double cupMl,
        @Nullable String strength,
        @Nullable String purpose,
        @Nullable UUID drinkerId,
        @Nullable DrinkerDoc drinker,
        @Nullable KitchenDoc kitchen,
        @Nullable String measures,
        @Nullable Double liangG,
        @Nullable List<ChangeDoc> changes,
        @Nullable Instant startAt,
        @Nullable Instant readyAt) {

    PlanAsk plan() {
        return new PlanAsk(
                recipeId, recipe, cups, cupMl, strength, purpose, drinkerId, drinker, kitchen, measures, liangG,
                changes, startAt, readyAt);
    }
}
