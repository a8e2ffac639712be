package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A recipe on the wire and in the database. Without stages, the plan proposes them.
 *
 * @param alcoholPercent strength of a spirit, % by volume
 * @param dilutionParts parts of water to one part of a concentrate in the cup
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record RecipeDoc(
        @Schema(maxLength = 120) @Nullable String name,

        @Schema(allowableValues = {"folk", "monograph", "chinese", "ayurvedic"}) @Nullable
        String tradition,

        @Schema(minimum = "1", maximum = "40") @Nullable Double cups,
        @Schema(minimum = "30", maximum = "1000") @Nullable Double cupMl,
        @Schema(minimum = "10", maximum = "60000") @Nullable Double pourMl,

        @Schema(allowableValues = {"water", "spirit", "glycerin", "vinegar"}) @Nullable
        String menstruum,

        @Schema(minimum = "25", maximum = "96") @Nullable Double alcoholPercent,
        @Schema(minimum = "0", maximum = "20") @Nullable Double dilutionParts,
        @ArraySchema(minItems = 1, maxItems = 60) @Nullable List<AdditionDoc> additions,
        @ArraySchema(maxItems = 40) @Nullable List<StageDoc> stages,
        @Nullable PosologyDoc posology) {

    /** How it is taken: cups a day, when, days in a row and days of rest after them. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PosologyDoc(
            @Schema(minimum = "0.25", maximum = "12") @Nullable
            Double cupsADay,

            @Schema(allowableValues = {"any-time", "with-food", "empty-stomach", "before-bed"}) @Nullable
            String when,

            @Schema(minimum = "1", maximum = "365") @Nullable
            Integer daysOn,

            @Schema(minimum = "0", maximum = "365") @Nullable
            Integer daysOff) {}

    /** One herb; {@code stage} is the index of the stage at whose start it goes in. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AdditionDoc(
            @Schema(maxLength = 80) @Nullable String herb,

            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form,

            @Schema(allowableValues = {"whole", "chopped", "sliced", "grated", "crushed", "bruised", "ground", "paste"})
            @Nullable
            String cut,

            @Schema(exclusiveMinimum = true, minimum = "0", maximum = "100000") @Nullable
            Double amount,

            @Schema(description = "one of the units of GET /api/measures/units", maxLength = 20) @Nullable
            String unit,

            @Schema(minimum = "0", maximum = "39") @Nullable Integer stage,

            @Schema(maxLength = 80, description = "how it is prepared, instead of the materia's words") @Nullable
            String prep) {}

    /** One stage; which numbers it needs depends on its kind. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StageDoc(
            @Schema(
                    allowableValues = {
                        "heat",
                        "pour",
                        "boil",
                        "simmer",
                        "reduce",
                        "steep",
                        "macerate",
                        "rest",
                        "cool",
                        "strain",
                        "refill",
                        "combine",
                        "finish"
                    })
            @Nullable
            String kind,

            @Schema(minimum = "0.1", maximum = "100800", description = "minutes; a boil at most a day") @Nullable
            Double minutes,

            @Schema(minimum = "0", maximum = "105") @Nullable
            Double toC,

            @Schema(minimum = "10", maximum = "60000") @Nullable
            Double toMl,

            @Nullable Boolean lid,

            @Schema(allowableValues = {"low", "medium", "high"}) @Nullable
            String flame,

            @Nullable Boolean pressed) {}
}
