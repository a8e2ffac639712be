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
 * @param grams as somebody said last
 * @param left missing when nobody said how much is in it, or when it was not asked
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
        @Nullable Left left,
        String note,
        @Nullable LocalDate bestBefore,
        boolean stale) {

    /**
     * What is left in it, reckoned from what was said last and what was brewed since.
     *
     * @param grams 0 when more was taken than was in it
     * @param lowG at the least, as spoons are no scales
     * @param highG at the most
     * @param brews how many took of it
     */
    public record Left(double grams, double lowG, double highG, int brews) {}

    /** What the client sends. */
    public record TinRequest(
            @Nullable Long version,
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @Nullable LocalDate filledOn,

            @Within(Limit.TIN_G) @Nullable Double grams,

            @Size(max = Length.LINE) @Nullable String note) {}
}
