package embercup.server.courses;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A course with its days, flat on the wire.
 *
 * @param id missing for one that is only looked at
 * @param days from its first to its last, rests among them
 * @param next the dose that comes; missing when there is none any more
 * @param cautions what is to be minded of it now, the gravest first
 * @param clashes what it does not go together with: another course, or more of a herb than a day may have
 * @param tooLong why it may not be so long; missing when it may
 * @param sources brews with something left that a cup of it can be poured of
 */
public record CourseResponse(
        @Nullable UUID id,
        @Nullable Long version,
        @JsonUnwrapped Head head,
        @JsonUnwrapped Laid laid,
        List<CourseDay> days,
        @Nullable NextDose next,
        List<CourseCaution> cautions,
        List<String> clashes,
        @Nullable TooLong tooLong,
        List<CourseSource> sources) {

    /** @param says how the recipe is taken; empty when it does not say */
    public record Head(@Nullable UUID recipeId, String name, List<CourseDrinker> drinkers, String says) {}

    /** @param drinkerId missing for a guest, @param serving part of a cup at a time, @param doseMl at a time, mL */
    public record CourseDrinker(@Nullable UUID drinkerId, String name, double serving, double doseMl) {}

    /**
     * How it was laid.
     *
     * @param phase {@code ahead}, {@code running} or {@code over}
     * @param drinkingDays how many days it is drunk on; missing until it is better
     * @param usualDays for how many the recipe says
     * @param rowDays days in a row at the longest
     * @param restDays of rest after them
     * @param limit why there are no more in a row
     */
    public record Laid(
            String phase,
            LocalDate firstDay,
            LocalDate lastDay,
            @Nullable Integer drinkingDays,
            int usualDays,
            int rowDays,
            int restDays,
            String limit,
            @Nullable String limitSource,
            List<String> times,
            @Nullable LocalDate endedOn,
            @Nullable String endedWhy) {}

    /**
     * @param kind {@code drink}, {@code rest} or {@code ended}
     * @param brewed whether a pot of it was made that day
     * @param extra cups beside its doses
     */
    public record CourseDay(LocalDate date, String kind, boolean brewed, List<CourseDose> doses, int extra) {}

    /** @param state {@code ahead}, {@code due}, {@code late}, {@code taken} or {@code missed} */
    public record CourseDose(
            Instant due, String state, @Nullable Instant takenAt) {}

    public record NextDose(Instant due, String state) {}

    public record CourseCaution(String severity, String text, String source) {}

    /** @param most days that it may be laid for from its first day on; 0 when it cannot begin then */
    public record TooLong(String text, int most) {}

    public record CourseSource(UUID brewId, String name, double leftMl, double cupMl) {}
}
