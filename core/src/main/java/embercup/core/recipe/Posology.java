package embercup.core.recipe;

import java.util.OptionalInt;

/**
 * How a pot is taken: how often, with what, and for how long. Immutable.
 *
 * @param cupsADay cups a day for an adult
 * @param when with food, on an empty stomach, before bed, or at any time
 * @param daysOn days in a row; empty when the recipe does not say
 * @param daysOff days of rest after them
 */
public record Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff) {

    /** When in the day. */
    public enum When {
        ANY_TIME,
        WITH_FOOD,
        EMPTY_STOMACH,
        BEFORE_BED
    }
}
