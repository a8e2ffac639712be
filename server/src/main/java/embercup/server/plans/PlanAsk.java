package embercup.server.plans;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.server.recipes.RecipeDoc;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A request for a plan. Either {@code recipeId} or {@code recipe}; with both, the recipe is the kept one as it was changed on
 * the sheet. Everything else has a default.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record PlanAsk(
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

        @Schema(description = "choices by question, as GET /api/plans/schools lists them; the rest by tradition")
        @Nullable
        Map<String, String> schools,

        @Schema(
                allowableValues = {"water", "glycerin", "vinegar"},
                description = "draws it with this instead of the recipe's spirit")
        @Nullable
        String menstruum,

        @Schema(description = "the second brew of the herbs that this order has brewed and strained once") @Nullable
        Boolean spentHerbs,

        @Schema(
                minimum = "0.5",
                maximum = "2",
                description = "the drinker's own factor on the dose; what is learned when it is missing")
        @Nullable
        Double taste,

        @Schema(description = "whether what is learned of stove and taste is used; true when it is missing") @Nullable
        Boolean useLearned,

        @ArraySchema(maxItems = 60) @Nullable List<ChangeDoc> changes,
        @Nullable Instant startAt,
        @Nullable Instant readyAt,

        @Schema(description = "whether the answer carries the workings of every figure; false when it is missing")
        @Nullable
        Boolean workings) {

    /**
     * What the order changes in one herb of the recipe: another {@code with} that can stand in for it, a {@code share} of
     * its amount, its other {@code form}; nothing of these leaves it out.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ChangeDoc(
            @Schema(maxLength = 80) @Nullable String herb,
            @Schema(maxLength = 80) @Nullable String with,

            @Schema(exclusiveMinimum = true, minimum = "0", maximum = "1") @Nullable
            Double share,

            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form) {}

    /** Somebody who drinks, without being kept. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record DrinkerDoc(
            @Schema(minimum = "0", maximum = "120") @Nullable
            Double ageYears,

            @Schema(minimum = "2", maximum = "300") @Nullable
            Double weightKg,

            @Schema(description = "condition codes: pregnant, breastfeeding, high-blood-pressure, …") @Nullable
            List<String> conditions,

            @Schema(description = "slugs of herbs") @Nullable
            List<String> allergies) {}

    /** A kitchen; what is missing comes from the household's own. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record KitchenDoc(
            @Schema(minimum = "-400", maximum = "5000") @Nullable
            Double altitudeM,

            @Schema(minimum = "-10", maximum = "45") @Nullable
            Double roomC,

            @Schema(minimum = "0", maximum = "60") @Nullable Double tapC,

            @Schema(minimum = "300", maximum = "4000") @Nullable
            Double kettleW,

            @Nullable UUID vesselId,
            @Nullable VesselDoc vessel,
            @Nullable UUID burnerId,
            @Nullable BurnerDoc burner) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record VesselDoc(
            @Schema(maxLength = 60) @Nullable String name,

            @Schema(allowableValues = {"pot", "jar", "press", "teapot", "thermos", "mug"}) @Nullable
            String kind,

            @Schema(minimum = "3", maximum = "60") @Nullable Double innerDiameterCm,
            @Schema(minimum = "3", maximum = "60") @Nullable Double heightCm,

            @Schema(minimum = "20", maximum = "180000") @Nullable
            Double brimMl) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BurnerDoc(
            @Schema(maxLength = 60) @Nullable String name,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double lowW,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double mediumW,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double highW) {}
}
