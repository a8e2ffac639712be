package embercup.core.course;

import embercup.core.materia.HerbName;

/** Why a course has no more days in a row. */
public sealed interface CourseLimit {

    /** Days in a row at the longest. */
    int days();

    /** The recipe says it. */
    record OfRecipe(int days) implements CourseLimit {}

    /** A herb of it may not be drunk longer. */
    record OfHerb(HerbName of, int days, String source) implements CourseLimit {}

    /** Nobody limits it; what is not better by then is for somebody who knows (common practice, no source). */
    record Unlimited(int days) implements CourseLimit {}
}
