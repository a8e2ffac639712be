package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.recipe.Addition;
import embercup.server.platform.Fields;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A recipe on the wire and in the database. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record RecipeDoc(
        @Schema(maxLength = 120) @Nullable String name,

        @Schema(allowableValues = {"folk", "monograph", "chinese", "ayurvedic"}) @Nullable
        String tradition,

        @Schema(minimum = "1", maximum = "40") @Nullable Double cups,
        @Schema(minimum = "30", maximum = "1000") @Nullable Double cupMl,
        @Schema(minimum = "10", maximum = "60000") @Nullable Double pourMl,
        @Nullable List<AdditionDoc> additions,
        @Nullable List<StageDoc> stages) {

    /** The same recipe with other herbs. */
    public RecipeDoc withAdditions(List<Addition> others) {
        List<AdditionDoc> docs = others.stream()
                .map(a -> new AdditionDoc(
                        a.herb(),
                        Fields.code(a.form()),
                        Fields.code(a.cut()),
                        a.quantity().amount(),
                        a.quantity().unit().code(),
                        a.stage()))
                .toList();
        return new RecipeDoc(name, tradition, cups, cupMl, pourMl, docs, stages);
    }

    /** One herb; {@code stage} is the index of the stage at whose start it goes in. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AdditionDoc(
            @Nullable String herb,

            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form,

            @Schema(allowableValues = {"whole", "chopped", "sliced", "grated", "crushed", "bruised", "ground", "paste"})
            @Nullable
            String cut,

            @Nullable Double amount,
            @Nullable String unit,
            @Nullable Integer stage) {}

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

            @Nullable Double minutes,
            @Nullable Double toC,
            @Nullable Double toMl,
            @Nullable Boolean lid,

            @Schema(allowableValues = {"low", "medium", "high"}) @Nullable
            String flame,

            @Nullable Boolean pressed) {}
}
