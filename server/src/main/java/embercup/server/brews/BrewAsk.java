package embercup.server.brews;

import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanAsk.ChangeDoc;
import embercup.server.plans.PlanAsk.DrinkerDoc;
import embercup.server.plans.PlanAsk.KitchenDoc;
import embercup.server.recipes.RecipeDoc;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A plan request that becomes a brew.
 *
 * @param id made by the client, so that a repeat is harmless; made by the server when missing
 * @param confirmed gathered herbs whose identity the cook has confirmed, see {@code identityChecks} of the plan
 * @param ancestorId the brew that this one is a change or a second brew of
 * @param start whether it begins now; otherwise it waits for its {@code started} event
 */
public record BrewAsk(
        @Nullable UUID id,
        @Nullable Boolean start,
        @Nullable UUID recipeId,
        @Nullable RecipeDoc recipe,
        @Schema(minimum = "1", maximum = "40") @Nullable Double cups,
        @Schema(minimum = "30", maximum = "1000") @Nullable Double cupMl,

        @Schema(allowableValues = {"gentle", "standard", "strong"}) @Nullable
        String strength,

        @Schema(allowableValues = {"everyday", "tonic", "acute"}) @Nullable
        String purpose,

        @Nullable UUID drinkerId,
        @Nullable DrinkerDoc drinker,
        @Nullable KitchenDoc kitchen,

        @Schema(allowableValues = {"us", "metric", "au", "imperial"}) @Nullable
        String measures,

        @Schema(minimum = "1", maximum = "60") @Nullable Double liangG,
        @Nullable Map<String, String> schools,

        @Schema(allowableValues = {"water", "glycerin", "vinegar"}) @Nullable
        String menstruum,

        @Nullable Boolean spentHerbs,
        @Schema(minimum = "0.5", maximum = "2") @Nullable Double taste,
        @Nullable Boolean useLearned,
        @Nullable List<ChangeDoc> changes,
        @Nullable Instant startAt,
        @Nullable Instant readyAt,
        @ArraySchema(maxItems = 60) @Nullable List<String> confirmed,
        @Nullable UUID ancestorId) {

    /** A kept recipe for its own cups, to begin at a moment; not started yet. */
    public static BrewAsk ofRecipe(
            UUID id, @Nullable UUID recipeId, String strength, @Nullable UUID drinkerId, Instant startAt) {
        return new BrewAsk(
                id, false, recipeId, null, null, null, strength, null, drinkerId, null, null, null, null, null, null,
                null, null, false, null, startAt, null, null, null);
    }

    PlanAsk plan() {
        return new PlanAsk(
                recipeId,
                recipe,
                cups,
                cupMl,
                strength,
                purpose,
                drinkerId,
                drinker,
                kitchen,
                measures,
                liangG,
                schools,
                menstruum,
                spentHerbs,
                taste,
                useLearned,
                changes,
                startAt,
                readyAt,
                null);
    }
}
