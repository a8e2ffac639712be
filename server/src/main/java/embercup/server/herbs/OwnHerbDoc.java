package embercup.server.herbs;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the cook says of a herb: her own weights of a shipped one, or a herb of her own, which needs its names and its part;
 * everything else of it is the part's.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record OwnHerbDoc(
        @Nullable Long version,
        @Schema(maxLength = 80) @Nullable String common,
        @Schema(maxLength = 80) @Nullable String latin,

        @Schema(
                allowableValues = {
                    "flower", "leaf", "herb", "seed", "peel", "fruit", "bulb", "root", "rhizome", "bark", "twig",
                    "fungus", "resin", "pantry"
                })
        @Nullable
        String part,

        @Schema(maxLength = 300) @Nullable String use,
        @ArraySchema(maxItems = 20) @Nullable List<WeightDoc> weights) {

    /** A level US teaspoon of a form and cut, as she weighed it. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record WeightDoc(
            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form,

            @Schema(allowableValues = {"whole", "chopped", "sliced", "grated", "crushed", "bruised", "ground", "paste"})
            @Nullable
            String cut,

            @Schema(minimum = "0.02", maximum = "20") @Nullable
            Double gPerTsp) {}
}
