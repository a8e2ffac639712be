package embercup.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Somebody of the household who drinks.
 *
 * @param usualStrength how strong she usually likes it; what a sheet for her begins with
 * @param dislikes slugs of herbs she would rather not have
 * @param brewer marks the one who usually brews
 */
public record Person(
        UUID id,
        long version,
        String name,
        double ageYears,
        @Nullable Double weightKg,
        List<String> conditions,
        List<String> allergies,
        String usualStrength,
        List<String> dislikes,
        boolean brewer) {

    /** What the client sends; {@code version} is needed for a change. */
    public record PersonDraft(
            @Nullable Long version,
            @Schema(maxLength = 60) @Nullable String name,

            @Schema(minimum = "0", maximum = "120") @Nullable
            Double ageYears,

            @Schema(minimum = "2", maximum = "300") @Nullable
            Double weightKg,

            @Nullable List<String> conditions,
            @Nullable List<String> allergies,

            @Schema(allowableValues = {"gentle", "standard", "strong"}) @Nullable
            String usualStrength,

            @Nullable List<String> dislikes,
            @Nullable Boolean brewer) {}
}
