package embercup.server.plans;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Form;
import embercup.core.measure.KitchenSystem;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Menstruum;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import embercup.server.recipes.RecipeDocument;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A request for a plan, flat on the wire. Everything but the recipe has a default.
 *
 * @param workings whether the answer carries the workings of every figure
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record OrderRequest(
        @JsonUnwrapped @Valid Pot pot,
        @JsonUnwrapped @Valid Serving serving,
        @JsonUnwrapped @Valid For drinks,
        @JsonUnwrapped @Valid Taken taken,
        @Valid @Nullable KitchenPart kitchen,
        @JsonUnwrapped @Valid Custom custom,
        @JsonUnwrapped At at,

        @Schema(description = "whether the answer carries the workings of every figure; false when it is missing")
        @Nullable
        Boolean workings) {

    /** The same order on a burner of the household. */
    OrderRequest onBurner(UUID burnerId) {
        KitchenPart k = kitchen == null
                ? new KitchenPart(null, null, null, null, null, null, burnerId, null)
                : new KitchenPart(
                        kitchen.altitudeM,
                        kitchen.roomC,
                        kitchen.tapC,
                        kitchen.kettleW,
                        kitchen.vesselId,
                        kitchen.vessel,
                        burnerId,
                        kitchen.burner);
        return new OrderRequest(pot, serving, drinks, taken, k, custom, at, workings);
    }

    /**
     * What is brewed. Either {@code recipeId} or {@code recipe}; with both, the recipe is the kept one as it was changed on the
     * sheet.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Pot(
            @Nullable UUID recipeId,
            @Valid @Nullable RecipeDocument recipe,
            @Within(Limit.CHANGES) @Nullable List<@Valid ChangePart> changes,

            @Schema(description = "draws it with this instead of the recipe's spirit")
            @CodeOf(value = Menstruum.Kind.class, except = "spirit")
            @Nullable
            String menstruum,

            @Schema(description = "the second brew of the herbs that this order has brewed and strained once") @Nullable
            Boolean spentHerbs) {}

    /** How much, how strong, what for. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Serving(
            @Within(Limit.CUPS) @Nullable Double cups,
            @Within(Limit.CUP_ML) @Nullable Double cupMl,
            @CodeOf(Strength.class) @Nullable String strength,
            @CodeOf(Purpose.class) @Nullable String purpose) {}

    /** Who drinks, and what is known of her and of the stove. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record For(
            @Nullable UUID drinkerId,
            @Valid @Nullable DrinkerPart drinker,

            @Schema(description = "what a drinker who is not of the household is called")
            @Size(max = Length.SHORT_NAME)
            @Nullable
            String guest,

            @Schema(description = "the drinker's own factor on the dose; what is learned when it is missing")
            @Within(Limit.TASTE)
            @Nullable
            Double taste,

            @Schema(description = "whether what is learned of stove and taste is used; true when it is missing")
            @Nullable
            Boolean useLearned) {}

    /** How it is taken. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Taken(
            @Schema(description = "cups that the drinker takes of it in a day; as the recipe says when it is missing")
            @Within(Limit.CUPS_A_DAY)
            @Nullable
            Double cupsADay,

            @Schema(description = "days for which a practitioner prescribed it")
            @Within(Limit.PRESCRIBED_DAYS)
            @Nullable
            Integer prescribedDays,

            @Schema(description = "who prescribed it") @Size(max = Length.NAME) @Nullable
            String prescribedBy,

            @Schema(description = "who drinks of it beside the drinker") @Within(Limit.SHARERS) @Nullable
            List<@Valid SharerPart> others) {}

    /** Somebody who drinks of a pot beside its drinker: of the household, or a guest. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record SharerPart(
            @Nullable UUID drinkerId,
            @Valid @Nullable DrinkerPart drinker,
            @Size(max = Length.SHORT_NAME) @Nullable String name,

            @Schema(description = "servings a day; 1 when it is missing") @Within(Limit.SERVINGS_A_DAY) @Nullable
            Double cupsADay,

            @Schema(description = "part of a cup in one serving; what a child may have when it is missing, else 1")
            @Within(Limit.SHARE)
            @Nullable
            Double serving) {}

    /** How measures are read and where schools differ. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Custom(
            @CodeOf(KitchenSystem.class) @Nullable String measures,
            @Within(Limit.LIANG_G) @Nullable Double liangG,

            @Schema(description = "choices by question, as GET /api/plans/schools lists them; the rest by tradition")
            @Nullable
            Map<String, String> schools) {}

    /** When; at most one of the two. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record At(@Nullable Instant startAt, @Nullable Instant readyAt) {}

    /**
     * What the order changes in one herb of the recipe: another {@code with} that the recipe names instead or that can stand in
     * for it, a {@code share} of its amount, {@code perCupG} of it in each of the recipe's cups, its other {@code form}; nothing
     * of these leaves it out.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ChangePart(
            @Size(max = Length.SLUG) @Nullable String herb,
            @Size(max = Length.SLUG) @Nullable String with,
            @Within(Limit.TIMES_OF_HERB) @Nullable Double share,
            @Within(Limit.HERB_G) @Nullable Double perCupG,
            @CodeOf(Form.class) @Nullable String form) {}

    /** Somebody who drinks, without being kept. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record DrinkerPart(
            @Within(Limit.AGE_YEARS) @Nullable Double ageYears,
            @Within(Limit.WEIGHT_KG) @Nullable Double weightKg,

            @Schema(description = "condition codes: pregnant, breastfeeding, high-blood-pressure, …") @Nullable
            List<String> conditions,

            @Within(Limit.TRIMESTER) @Nullable Integer trimester,

            @Schema(description = "slugs of herbs") @Nullable
            List<String> allergies) {}

    /** A kitchen; what is missing comes from the household's own. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record KitchenPart(
            @Within(Limit.ALTITUDE_M) @Nullable Double altitudeM,
            @Within(Limit.ROOM_C) @Nullable Double roomC,
            @Within(Limit.TAP_C) @Nullable Double tapC,
            @Within(Limit.KETTLE_W) @Nullable Double kettleW,
            @Nullable UUID vesselId,
            @Valid @Nullable VesselPart vessel,
            @Nullable UUID burnerId,
            @Valid @Nullable BurnerPart burner) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record VesselPart(
            @Size(max = Length.SHORT_NAME) @Nullable String name,
            @CodeOf(Vessel.Kind.class) @Nullable String kind,
            @Within(Limit.VESSEL_CM) @Nullable Double innerDiameterCm,
            @Within(Limit.VESSEL_CM) @Nullable Double heightCm,
            @Within(Limit.BRIM_ML) @Nullable Double brimMl,
            @Nullable List<@CodeOf(Companion.class) String> companions) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BurnerPart(
            @Size(max = Length.SHORT_NAME) @Nullable String name,
            @Within(Limit.BURNER_W) @Nullable Double lowW,
            @Within(Limit.BURNER_W) @Nullable Double mediumW,
            @Within(Limit.BURNER_W) @Nullable Double highW) {}
}
