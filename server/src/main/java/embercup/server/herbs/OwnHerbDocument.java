package embercup.server.herbs;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Severity;
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
 * What the cook says of a herb: her own weights of a shipped one, or a herb of her own, which needs its names and its part;
 * everything else of it is the part's, but for what a source says that she names. With {@code parts} it is a blend of the house,
 * which needs a name.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record OwnHerbDocument(
        @Nullable Long version,
        @Size(max = Length.HERB_NAME) @Nullable String common,
        @Size(max = Length.HERB_NAME) @Nullable String latin,

        @CodeOf(PlantPart.class) @Nullable String part,

        @Size(max = Length.USE) @Nullable String use,
        @Within(Limit.OWN_WEIGHTS) @Nullable List<@Valid WeightDocument> weights,

        @Schema(
                description =
                        "what a blend of the house is mixed of; nothing else is said of it but its name and its use")
        @Within(Limit.PORTIONS)
        @Nullable
        List<@Valid PortionDocument> parts,

        @Schema(description = "what a source says of a herb of the cook's own; its name is needed") @Valid @Nullable
        SaysDocument says) {

    /**
     * What a source says that the cook names.
     *
     * @param source who says it: a book and its page, a practitioner
     * @param ageFloorYears youngest drinker
     * @param perCupG lowest and highest single dose of the dried herb, g
     * @param cautions what it says of conditions
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record SaysDocument(
            @Size(max = Length.USE) @Nullable String source,
            @Within(Limit.AGE_YEARS) @Nullable Double ageFloorYears,
            @Within(Limit.OWN_DOSE_G) @Nullable Double perCupG,
            @Within(Limit.OWN_DOSE_G) @Nullable Double perCupToG,
            @Within(Limit.CUPS_A_DAY) @Nullable Double timesADay,
            @Within(Limit.OWN_CAUTIONS) @Nullable List<@Valid CautionDocument> cautions) {}

    /** @param when a condition's code */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record CautionDocument(
            @CodeOf(Condition.class) @Nullable String when,
            @CodeOf(Severity.class) @Nullable String severity,
            @Size(max = Length.USE) @Nullable String text) {}

    /** So much of one herb in a blend. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PortionDocument(
            @Size(max = Length.SLUG) @Nullable String herb,
            @CodeOf(Form.class) @Nullable String form,
            @CodeOf(Cut.class) @Nullable String cut,
            @Within(Limit.AMOUNT) @Nullable Double amount,

            @Schema(description = "one of the units of GET /api/measures/units; a part when it is missing")
            @Size(max = Length.UNIT)
            @Nullable
            String unit) {}

    /** The same at a version. */
    OwnHerbDocument at(@Nullable Long other) {
        return new OwnHerbDocument(other, common, latin, part, use, weights, parts, says);
    }

    /** A level US teaspoon of a form and cut, as she weighed it. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record WeightDocument(
            @CodeOf(Form.class) @Nullable String form,

            @CodeOf(Cut.class) @Nullable String cut,

            @Within(Limit.SPOON_G) @Nullable Double gPerTsp) {}
}
