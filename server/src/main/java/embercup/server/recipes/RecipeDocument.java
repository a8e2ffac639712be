package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Tradition;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Companion;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.OwnCaution;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.Stream;
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
        @Valid @Nullable PosologyDocument posology,
        @JsonUnwrapped @Valid ToldPart beside) {

    /** Slugs of all its herbs, those that may go in instead among them. */
    @JsonIgnore
    Stream<String> herbs() {
        return additions == null ? Stream.of() : additions.stream().flatMap(RecipeDocument::herbs);
    }

    private static Stream<String> herbs(AdditionDocument a) {
        Stream<String> instead = a.or() == null ? Stream.of() : a.or().stream().flatMap(RecipeDocument::herbs);
        return Stream.concat(Stream.ofNullable(a.herb()), instead);
    }

    /**
     * What it says beside its herbs and stages.
     *
     * @param headspaceCm the vessel is filled to so far below its rim
     * @param coverCm the herbs are covered by so much
     * @param blendAmount how much of the blend that its parts make goes into its own cups, in {@code blendUnit}
     * @param with what it is made with beside its vessel
     * @param notFor conditions it is not for, as it says itself
     * @param notUnderYears drinkers it is too strong for, as it says itself
     * @param keepsDays how long what is left is good, as it says
     * @param told its own cautions, each with its place
     * @param notes what it says that nothing is reckoned from
     * @param written the text it was read from
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ToldPart(
            @Within(Limit.FILL_CM) @Nullable Double headspaceCm,
            @Within(Limit.FILL_CM) @Nullable Double coverCm,
            @Within(Limit.AMOUNT) @Nullable Double blendAmount,
            @Size(max = Length.UNIT) @Nullable String blendUnit,
            @Nullable List<@CodeOf(Companion.class) String> with,
            @Nullable List<@CodeOf(Condition.class) String> notFor,
            @Within(Limit.AGE_YEARS) @Nullable Double notUnderYears,
            @Within(Limit.KEEPS_DAYS) @Nullable Double keepsDays,
            @CodeOf(Place.class) @Nullable String keepsWhere,
            @Within(Limit.NOTES) @Nullable List<@Valid OwnCautionDocument> told,
            @Within(Limit.NOTES) @Nullable List<@Size(max = Length.NOTE) String> notes,
            @Size(max = Length.WRITTEN) @Nullable String written) {

        static final ToldPart NOTHING =
                new ToldPart(null, null, null, null, null, null, null, null, null, null, null, null);
    }

    /**
     * A caution of the recipe's own.
     *
     * @param text a whole sentence
     * @param herb slug of the herb it is about; with {@code herb} alone
     * @param stage index of the stage it is about; with {@code step} alone
     * @param conditions whom it is not for; with {@code who} alone, as {@code underYears}
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record OwnCautionDocument(
            @Size(max = Length.NOTE) @Nullable String text,
            @CodeOf(OwnCaution.About.class) @Nullable String about,
            @Size(max = Length.SLUG) @Nullable String herb,
            @Within(Limit.STAGE) @Nullable Integer stage,
            @Nullable List<@CodeOf(Condition.class) String> conditions,
            @Within(Limit.AGE_YEARS) @Nullable Double underYears) {}

    /** A document of an earlier version, or of a client that leaves it out, tells nothing beside. */
    public RecipeDocument {
        beside = beside == null ? ToldPart.NOTHING : beside;
    }

    /**
     * What draws the herbs.
     *
     * @param pourMl the recipe's own starting water for its own cups
     * @param alcoholPercent strength of a spirit, % by volume
     * @param dilutionParts parts of water to one part of a concentrate in the cup
     * @param servingMl the same said otherwise: what is drunk at a time of a concentrate, before it is thinned to the recipe's cup
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Liquid(
            @Within(Limit.WATER_ML) @Nullable Double pourMl,
            @CodeOf(Menstruum.Kind.class) @Nullable String menstruum,
            @Within(Limit.SPIRIT_PERCENT) @Nullable Double alcoholPercent,
            @Within(Limit.DILUTION_PARTS) @Nullable Double dilutionParts,
            @Within(Limit.SERVING_ML) @Nullable Double servingMl) {}

    /** How it is taken: cups a day, when, days in a row and days of rest after them. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PosologyDocument(
            @Within(Limit.CUPS_A_DAY) @Nullable Double cupsADay,

            @Schema(description = "upper end of a range") @Within(Limit.CUPS_A_DAY) @Nullable
            Double cupsADayTo,

            @Schema(description = "what is taken at a time, where it is not a cup") @Within(Limit.AMOUNT) @Nullable
            Double doseAmount,

            @Size(max = Length.UNIT) @Nullable String doseUnit,

            @Nullable List<@CodeOf(Posology.Moment.class) String> moments,

            @Schema(description = "days that it is taken at the longest") @Within(Limit.DAYS_ON) @Nullable
            Integer mostDays,

            @Schema(description = "a child's share of an adult's") @Within(Limit.SHARE) @Nullable
            Double childShare,

            @CodeOf(Posology.When.class) @Nullable String when,

            @Within(Limit.DAYS_ON) @Nullable Integer daysOn,

            @Within(Limit.DAYS_OFF) @Nullable Integer daysOff,

            @Schema(description = "hours between two doses while awake") @Within(Limit.EVERY_HOURS) @Nullable
            Double everyHours,

            @Schema(description = "doses a day, where the hours are not said") @Within(Limit.DOSES_A_DAY) @Nullable
            Double timesADay,

            @Nullable Boolean untilBetter,

            @Schema(description = "at least so many, of what is not taken daily") @Within(Limit.CUPS_A_WEEK) @Nullable
            Double cupsAWeek,

            @Schema(description = "how others than a healthy adult take it") @Within(Limit.TAKING_ROWS) @Nullable
            List<@Valid TakingRowDocument> rows) {}

    /**
     * How others than a healthy adult take it.
     *
     * @param fromYears from this age on
     * @param toYears younger than this
     * @param when code of a condition, or people in words whom nothing here tells apart
     * @param cupsADay or else a dose with times a day or hours between
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TakingRowDocument(
            @Within(Limit.AGE_YEARS) @Nullable Double fromYears,
            @Within(Limit.AGE_YEARS) @Nullable Double toYears,
            @Size(max = Length.NOTE) @Nullable String when,
            @Within(Limit.CUPS_A_DAY) @Nullable Double cupsADay,
            @Within(Limit.AMOUNT) @Nullable Double doseAmount,
            @Size(max = Length.UNIT) @Nullable String doseUnit,
            @Within(Limit.DOSES_A_DAY) @Nullable Double timesADay,
            @Within(Limit.EVERY_HOURS) @Nullable Double everyHours,
            @Within(Limit.DAYS_ON) @Nullable Integer mostDays) {}

    /** One herb; {@code stage} is the index of the stage at whose start it goes in. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AdditionDocument(
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @CodeOf(Cut.class) @Nullable String cut,

            @Within(Limit.AMOUNT) @Nullable Double amount,

            @Schema(description = "one of the units of GET /api/measures/units") @Size(max = Length.UNIT) @Nullable
            String unit,

            @Schema(description = "upper end of a range") @Within(Limit.AMOUNT) @Nullable
            Double amountTo,

            @Nullable Boolean optional,

            @Schema(description = "what may go in instead, each with its own amount") @Within(Limit.INSTEAD) @Nullable
            List<@Valid AdditionDocument> or,

            @Within(Limit.STAGE) @Nullable Integer stage,

            @Schema(description = "which cups it goes into, when it goes into cups; each when it is missing")
            @CodeOf(Addition.Into.class)
            @Nullable
            String into,

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

            @Schema(description = "upper end of a range") @Within(Limit.STAND_MIN) @Nullable
            Double minutesTo,

            @Schema(description = "by what the cook sees that it is done") @Size(max = Length.SIGN) @Nullable
            String sign,

            @Within(Limit.STAGE_C) @Nullable Double toC,

            @Within(Limit.WATER_ML) @Nullable Double toMl,

            @Nullable Boolean lid,

            @CodeOf(Flame.class) @Nullable String flame,

            @Nullable Boolean pressed,

            @Schema(description = "where a maceration stands") @CodeOf(Place.class) @Nullable
            String place,

            @Schema(
                    description =
                            "what a strained liquor runs into; unsaid it is cups, or a pot for what is heated again")
            @CodeOf(Receiver.class)
            @Nullable
            String into,

            @Schema(description = "water of its own that a blender gets, for the recipe's own cups, mL")
            @Within(Limit.WATER_ML)
            @Nullable
            Double addMl) {}
}
