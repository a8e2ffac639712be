package embercup.server.shelf;

import io.swagger.v3.oas.annotations.media.Schema;
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
    public record TinDraft(
            @Nullable Long version,
            @Schema(maxLength = 80) @Nullable String herb,

            @Schema(allowableValues = {"fresh", "dried"}) @Nullable
            String form,

            @Nullable LocalDate filledOn,

            @Schema(minimum = "0", maximum = "100000") @Nullable
            Double grams,

            @Schema(maxLength = 200) @Nullable String note) {}
}
