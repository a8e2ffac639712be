package embercup.server.shelf;

import embercup.core.materia.Form;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A tin on the shelf.
 *
 * @param bestBefore from the herb's keeping time (common practice); missing for fresh herbs, which keep a week
 * @param stale whether that day has passed
 */
public record Tin(
        UUID id,
        long version,
        String herb,
        String common,
        String form,
        LocalDate filledOn,
        @Nullable Double grams,
        String note,
        @Nullable LocalDate bestBefore,
        boolean stale) {

    /** What the client sends. */
    public record TinRequest(
            @Nullable Long version,
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @Nullable LocalDate filledOn,

            @Within(Limit.TIN_G) @Nullable Double grams,

            @Size(max = Length.LINE) @Nullable String note) {}
}
