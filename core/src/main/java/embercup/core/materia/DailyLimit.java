package embercup.core.materia;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a person should not pass in a day, over all cups. Immutable.
 *
 * @param use whether it holds for any day, or for long use
 * @param counting how what is in the cups is counted against it
 * @param words what the limit is, in one sentence
 */
public record DailyLimit(
        Constituent constituent, Amounts amounts, Use use, Counting counting, String words, String source) {

    /**
     * Milligrams; an end that is empty does not limit.
     *
     * @param mgPerDay a day for an adult
     * @param mgAtOnce in one cup for an adult
     * @param mgPerKgPerDay per kilogram of body weight a day
     * @param pregnantMgPerDay a day in pregnancy and breastfeeding
     * @param childMgPerKgPerDay per kilogram a day under 18 years
     */
    public record Amounts(
            OptionalDouble mgPerDay,
            OptionalDouble mgAtOnce,
            OptionalDouble mgPerKgPerDay,
            OptionalDouble pregnantMgPerDay,
            OptionalDouble childMgPerKgPerDay) {}

    /**
     * What use it is meant for.
     *
     * @param longUse whether it is meant for use over weeks and more
     * @param guidance whether it is a guidance value, to stay below in long use, and no bar for a cup
     * @param shortUse how far a short use may pass it; empty when it may not
     */
    public record Use(boolean longUse, boolean guidance, Optional<ShortUse> shortUse) {}

    /**
     * A short use.
     *
     * @param times how many times the limit
     * @param days for how many days at most
     */
    public record ShortUse(double times, int days, String source) {}

    /**
     * How it is counted.
     *
     * @param high whether the high value of the content is judged, not the usual one
     * @param with class of extraction that it travels with; empty when all of it is counted
     */
    public record Counting(boolean high, Optional<ExtractClass> with) {

        /** Milligrams in a gram that are judged. */
        public double of(Herb.Content content) {
            return high ? content.mgPerG().high() : content.mgPerG().best();
        }
    }
}
