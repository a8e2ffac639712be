package embercup.server.plans;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.server.recipes.RecipeDoc;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A request for a plan. Either {@code recipeId} or {@code recipe}; everything else has a default. */
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
        @Nullable List<ChangeDoc> changes,
        @Nullable Instant startAt,
        @Nullable Instant readyAt) {

    /** A herb that is left out, or replaced by one that can stand in for it. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ChangeDoc(@Nullable String herb, @Nullable String with) {}

    /** Somebody who drinks, without being kept. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record DrinkerDoc(
            @Schema(minimum = "0", maximum = "120") @Nullable
            Double ageYears,

            @Schema(minimum = "2", maximum = "300") @Nullable
            Double weightKg,

            @Nullable List<String> conditions,
            @Nullable List<String> allergies) {}

    /** A kitchen; what is missing comes from the household's own. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record KitchenDoc(
            @Schema(minimum = "-400", maximum = "5000") @Nullable
            Double altitudeM,

            @Nullable Double roomC,
            @Nullable Double tapC,
            @Nullable Double kettleW,
            @Nullable UUID vesselId,
            @Nullable VesselDoc vessel,
            @Nullable UUID burnerId,
            @Nullable BurnerDoc burner) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record VesselDoc(
            @Nullable String name,

            @Schema(allowableValues = {"pot", "jar", "press", "teapot", "thermos", "mug"}) @Nullable
            String kind,

            @Nullable Double innerDiameterCm,
            @Nullable Double heightCm,
            @Nullable Double brimMl) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BurnerDoc(
            @Nullable String name,
            @Nullable Double lowW,
            @Nullable Double mediumW,
            @Nullable Double highW) {}
}
