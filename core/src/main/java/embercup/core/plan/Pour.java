package embercup.core.plan;

import embercup.core.workings.Workings;

/** How the starting water was found. A closed family; immutable. */
sealed interface Pour {

    /** Solved for a yield. @param liquor strained liquor that is wanted, mL */
    record Solved(Workings liquor) implements Pour {}

    /** Said by the recipe, or half as much again as a reduction ends with. @param start water at the start, mL */
    record Stated(Workings start) implements Pour {}
}
