package embercup.server.courses;

import embercup.core.course.Course;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A course as somebody wants it.
 *
 * @param version of the course that is changed; missing for a new one
 * @param recipeId a kept recipe; not looked at when a course is changed
 */
public record CourseRequest(
        @Nullable Long version,
        @Nullable UUID recipeId,

        @Schema(description = "who drinks it; nobody of the household when it is missing")
        @Within(Limit.SHARERS)
        @Nullable
        List<@Valid DrinkerRequest> drinkers,

        @Schema(description = "today when it is missing") @Nullable
        LocalDate firstDay,

        @Schema(description = "days of drinking; as the recipe says when it is missing")
        @Within(Limit.DAYS_ON)
        @Nullable
        Integer days,

        @Schema(description = "until it is better, and no longer than a row; then days are not looked at") @Nullable
        Boolean untilBetter,

        @Schema(description = "times of day, as 08:00; as the recipe says when it is missing")
        @Within(Limit.DOSES_A_DAY)
        @Nullable
        List<String> times) {

    /** Who drinks it. @param serving part of a cup at a time; what she may have when it is missing */
    public record DrinkerRequest(
            @Nullable UUID drinkerId,
            @Within(Limit.SHARE) @Nullable Double serving) {}

    /** Why it is over before its time. */
    public record EndRequest(
            @CodeOf(Course.End.class) @Nullable String why) {}

    /**
     * A cup that is drunk now, or was.
     *
     * @param id made by the client, so that a repeat is harmless
     * @param ageS how long ago, s
     * @param brewId out of which brew; missing when it came from elsewhere
     */
    public record CupRequest(
            @Nullable UUID id,
            @Within(Limit.EVENT_AGE_S) @Nullable Double ageS,
            @Nullable UUID brewId) {}
}
