package embercup.core.recipe;

import embercup.core.measure.Quantity;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How a pot is taken: how often, with what, and for how long. Immutable.
 *
 * @param cupsADay cups a day for an adult; the lower end of a range
 * @param when with food, on an empty stomach, before bed, or at any time
 * @param daysOn days in a row; empty when the recipe does not say
 * @param daysOff days of rest after them
 * @param more what only some recipes say
 */
public record Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff, More more) {

    /** When in the day. */
    public enum When {
        ANY_TIME,
        WITH_FOOD,
        EMPTY_STOMACH,
        BEFORE_BED
    }

    /** Times of day at which it is taken. */
    public enum Moment {
        MORNING,
        NOON,
        AFTERNOON,
        EVENING,
        BEDTIME
    }

    /**
     * What only some recipes say.
     *
     * @param cupsADayTo upper end of a range; empty for one number
     * @param dose how much is taken at a time, where it is not a cup: "half a cup", "2 tbsp", "30 drops"
     * @param moments at which times of day; empty when it does not matter
     * @param mostDays days that it is taken at the longest; empty when the recipe does not say
     * @param childShare a child's share of an adult's, as the recipe says, 0–1; empty when it does not
     */
    public record More(
            OptionalDouble cupsADayTo,
            Optional<Quantity> dose,
            Set<Moment> moments,
            OptionalInt mostDays,
            OptionalDouble childShare) {

        public static final More NOTHING = new More(
                OptionalDouble.empty(), Optional.empty(), Set.of(), OptionalInt.empty(), OptionalDouble.empty());

        /** The times of day in their order. */
        public More {
            Set<Moment> ordered = EnumSet.noneOf(Moment.class);
            ordered.addAll(moments);
            moments = java.util.Collections.unmodifiableSet(ordered);
        }
    }

    public Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff) {
        this(cupsADay, when, daysOn, daysOff, More.NOTHING);
    }

    /** Days in a row that it is taken, or may be taken at the longest; empty when the recipe says neither. */
    public OptionalInt daysInARow() {
        return daysOn.isPresent() ? daysOn : more.mostDays();
    }

    /** Days in a row at the longest: "7 mornings, at most 14" may go on to 14, "7 on, 7 off" may not. Empty when it says neither. */
    public OptionalInt mostInARow() {
        return more.mostDays().isPresent() ? more.mostDays() : daysOn;
    }
}
