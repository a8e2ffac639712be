package embercup.core.recipe;

import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How others than a healthy adult take it, as the recipe says: children of an age, the elderly, somebody with a condition. Immutable;
 * {@link RecipeRules} says whether it says enough.
 *
 * @param whom for whom it is
 * @param amount how much and how often
 * @param mostDays days at the longest; empty when it does not say
 */
public record TakingRow(Whom whom, Often amount, OptionalInt mostDays) {

    /**
     * For whom a row is.
     *
     * @param fromYears from this age on; empty for no lower end
     * @param toYears younger than this; empty for no upper end
     * @param words people whom nothing here tells apart, in the recipe's own words: such a row is shown, and never chosen by itself
     */
    public record Whom(OptionalDouble fromYears, OptionalDouble toYears, Optional<Condition> condition, String words) {

        /** Whether it is told by what a household knows of a drinker. */
        public boolean tells() {
            return fromYears.isPresent() || toYears.isPresent() || condition.isPresent();
        }

        boolean is(double ageYears, Set<Condition> conditions) {
            return tells()
                    && ageYears >= fromYears.orElse(0)
                    && ageYears < toYears.orElse(Double.POSITIVE_INFINITY)
                    && condition.map(conditions::contains).orElse(true);
        }

        /** Whether somebody may be both. */
        boolean meets(Whom other) {
            return tells()
                    && other.tells()
                    && condition.equals(other.condition)
                    && fromYears.orElse(0) < other.toYears.orElse(Double.POSITIVE_INFINITY)
                    && other.fromYears.orElse(0) < toYears.orElse(Double.POSITIVE_INFINITY);
        }
    }

    /**
     * How much and how often: cups a day, or a dose so many times a day or every so many hours while awake.
     *
     * @param cupsADay empty where a dose is said
     */
    public record Often(
            OptionalDouble cupsADay, Optional<Quantity> dose, OptionalDouble timesADay, OptionalDouble everyHours) {

        /** From the first dose of a day to the last, h: a day awake (common practice, no source). */
        public static final double AWAKE_H = 14;

        /** Whether it says how much a day comes to. */
        public boolean enough() {
            return cupsADay.isPresent() || dose.isPresent() && (timesADay.isPresent() || everyHours.isPresent());
        }

        /** How many doses a day has that begin every so many hours. */
        public static int times(double everyHours) {
            return (int) Math.floor(AWAKE_H / everyHours + 1e-9) + 1;
        }

        /** Cups of a day. @param cupMl size of the recipe's own cup, mL */
        public double cups(double cupMl, MeasureCustom custom) {
            double times = timesADay.orElseGet(() -> everyHours.isPresent() ? times(everyHours.getAsDouble()) : 1);
            return cupsADay.orElseGet(() ->
                    dose.map(d -> d.millilitres(custom).orElseThrow() / cupMl).orElse(1.0) * times);
        }
    }
}
