package embercup.server.people;

import embercup.core.dose.Strength;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Somebody of the household who drinks.
 *
 * @param trimester of her pregnancy, 1–3; missing when it is not known, or there is none
 * @param usualStrength how strong she usually likes it; what a sheet for her begins with
 * @param dislikes slugs of herbs she would rather not have
 * @param brewer marks the one who usually brews
 * @param serving part of an adult's cup that age and weight give her, 0–1; 0 when nothing is dosed for her age
 */
public record Person(
        UUID id,
        long version,
        String name,
        double ageYears,
        @Nullable Double weightKg,
        List<String> conditions,
        @Nullable Integer trimester,
        List<String> allergies,
        String usualStrength,
        List<String> dislikes,
        boolean brewer,
        double serving) {

    /** What the client sends; {@code version} is needed for a change. */
    public record PersonRequest(
            @Nullable Long version,
            @Size(max = Length.SHORT_NAME) @Nullable String name,

            @Within(Limit.AGE_YEARS) @Nullable Double ageYears,

            @Within(Limit.WEIGHT_KG) @Nullable Double weightKg,

            @Nullable List<String> conditions,

            @Within(Limit.TRIMESTER) @Nullable Integer trimester,

            @Nullable List<String> allergies,

            @CodeOf(Strength.class) @Nullable String usualStrength,

            @Nullable List<String> dislikes,
            @Nullable Boolean brewer) {}
}
