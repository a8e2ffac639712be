package embercup.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody of the household who drinks; {@code brewer} marks the one who usually brews. */
public record Person(
        UUID id,
        long version,
        String name,
        double ageYears,
        @Nullable Double weightKg,
        List<String> conditions,
        List<String> allergies,
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
            @Nullable Boolean brewer) {}
}
