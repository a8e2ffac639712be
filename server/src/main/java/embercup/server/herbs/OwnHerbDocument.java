package embercup.server.herbs;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.PlantPart;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the cook says of a herb: her own weights of a shipped one, or a herb of her own, which needs its names and its part;
 * everything else of it is the part's.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record OwnHerbDocument(
        @Nullable Long version,
        @Size(max = Length.HERB_NAME) @Nullable String common,
        @Size(max = Length.HERB_NAME) @Nullable String latin,

        @CodeOf(PlantPart.class) @Nullable String part,

        @Size(max = Length.USE) @Nullable String use,
        @Within(Limit.OWN_WEIGHTS) @Nullable List<@Valid WeightDocument> weights) {

    /** A level US teaspoon of a form and cut, as she weighed it. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record WeightDocument(
            @CodeOf(Form.class) @Nullable String form,

            @CodeOf(Cut.class) @Nullable String cut,

            @Within(Limit.SPOON_G) @Nullable Double gPerTsp) {}
}
