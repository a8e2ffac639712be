package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Tradition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A recipe on the wire and in the database. Without stages, the plan proposes them.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record RecipeDocument(
        @Size(max = Length.NAME) @Nullable String name,

        @CodeOf(Tradition.class) @Nullable String tradition,

        @Within(Limit.CUPS) @Nullable Double cups,
        @Within(Limit.CUP_ML) @Nullable Double cupMl,
        @JsonUnwrapped @Valid Liquid liquid,
        @Within(Limit.ADDITIONS) @Nullable List<@Valid AdditionDocument> additions,
        @Within(Limit.STAGES) @Nullable List<@Valid StageDocument> stages,
        @Valid @Nullable PosologyDocument posology) {

    /**
     * What draws the herbs.
     *
     * @param pourMl the recipe's own starting water for its own cups
     * @param alcoholPercent strength of a spirit, % by volume
     * @param dilutionParts parts of water to one part of a concentrate in the cup
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Liquid(
            @Within(Limit.WATER_ML) @Nullable Double pourMl,
            @CodeOf(Menstruum.Kind.class) @Nullable String menstruum,
            @Within(Limit.SPIRIT_PERCENT) @Nullable Double alcoholPercent,
            @Within(Limit.DILUTION_PARTS) @Nullable Double dilutionParts) {}

    /** How it is taken: cups a day, when, days in a row and days of rest after them. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PosologyDocument(
            @Within(Limit.CUPS_A_DAY) @Nullable Double cupsADay,

            @CodeOf(Posology.When.class) @Nullable String when,

            @Within(Limit.DAYS_ON) @Nullable Integer daysOn,

            @Within(Limit.DAYS_OFF) @Nullable Integer daysOff) {}

    /** One herb; {@code stage} is the index of the stage at whose start it goes in. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AdditionDocument(
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @CodeOf(Cut.class) @Nullable String cut,

            @Within(Limit.AMOUNT) @Nullable Double amount,

            @Schema(description = "one of the units of GET /api/measures/units") @Size(max = Length.UNIT) @Nullable
            String unit,

            @Within(Limit.STAGE) @Nullable Integer stage,

            @Schema(description = "how it is prepared, instead of the materia's words")
            @Size(max = Length.PREP)
            @Nullable
            String prep) {}

    /** One stage; which numbers it needs depends on its kind. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StageDocument(
            @CodeOf(StageKind.class) @Nullable String kind,

            @Schema(description = "minutes; a boil at most a day") @Within(Limit.STAND_MIN) @Nullable
            Double minutes,

            @Within(Limit.STAGE_C) @Nullable Double toC,

            @Within(Limit.WATER_ML) @Nullable Double toMl,

            @Nullable Boolean lid,

            @CodeOf(Flame.class) @Nullable String flame,

            @Nullable Boolean pressed,

            @Schema(description = "where a maceration stands: room or fridge") @CodeOf(Place.class) @Nullable
            String place) {}
}
