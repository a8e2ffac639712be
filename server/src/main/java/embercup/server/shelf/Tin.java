package embercup.server.shelf;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.keeping.Place;
import embercup.core.materia.Form;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A tin on the shelf, or what else of a herb is in the house.
 *
 * @param grams as somebody said last
 * @param left missing when nobody said how much is in it, or when it was not asked
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
        @JsonUnwrapped Stands stands) {

    public @Nullable LocalDate bestBefore() {
        return stands.bestBefore;
    }

    public boolean stale() {
        return stands.stale;
    }

    /**
     * Where it stands, and how long it is good there.
     *
     * @param places where it may stand
     * @param bestBefore missing when no time is given for it
     * @param stale whether that day has passed
     * @param going whether it is about to
     * @param why it is good so long, as a sentence
     */
    public record Stands(
            String place,
            List<String> places,
            @Nullable LocalDate bestBefore,
            boolean stale,
            boolean going,
            String why,
            @Nullable String source) {}

    /**
     * What is left in it, reckoned from what was said last and what was brewed since.
     *
     * @param grams 0 when more was taken than was in it
     * @param lowG at the least, as spoons are no scales
     * @param highG at the most
     * @param brews how many took of it
     */
    public record Left(double grams, double lowG, double highG, int brews) {}

    /** What the client sends. @param amountStays whether nothing is said of how much is in it: what was said last still stands */
    public record TinRequest(
            @Nullable Long version,
            @Size(max = Length.SLUG) @Nullable String herb,

            @CodeOf(Form.class) @Nullable String form,

            @Nullable LocalDate filledOn,

            @Within(Limit.TIN_G) @Nullable Double grams,

            @Size(max = Length.LINE) @Nullable String note,

            @CodeOf(Place.class) @Nullable String place,

            @Nullable Boolean amountStays) {}
}
