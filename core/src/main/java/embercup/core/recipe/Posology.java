package embercup.core.recipe;

import java.util.Locale;
import java.util.OptionalInt;

/**
 * How a pot is taken: how often, with what, and for how long. Immutable.
 *
 * @param cupsADay cups a day for an adult, 0.25–12
 * @param when with food, on an empty stomach, before bed, or at any time
 * @param daysOn days in a row, 1–365; empty when the recipe does not say
 * @param daysOff days of rest after them, 0–365
 */
public record Posology(double cupsADay, When when, OptionalInt daysOn, int daysOff) {

    public static final double FEWEST_CUPS = 0.25;
    public static final double MOST_CUPS = 12;
    public static final int MOST_DAYS = 365;

    /** When in the day. */
    public enum When {
        ANY_TIME(""),
        WITH_FOOD(", with food"),
        EMPTY_STOMACH(", on an empty stomach"),
        BEFORE_BED(", before bed");

        private final String words;

        When(String words) {
            this.words = words;
        }
    }

    /** "2 cups a day, with food; 7 days, then 7 days off". */
    public String words() {
        String cups = cupsADay == 1
                ? "1 cup"
                : cupsADay == 0.5
                        ? "half a cup"
                        : cupsADay == Math.rint(cupsADay)
                                ? Math.round(cupsADay) + " cups"
                                : String.format(Locale.ROOT, "%.2f", cupsADay).replaceAll("0+$", "") + " cups";
        String days = daysOn.isEmpty() ? "" : "; " + days(daysOn.getAsInt());
        String off = daysOff == 0 ? "" : ", then " + days(daysOff) + " off";
        return cups + " a day" + when.words + days + off;
    }

    private static String days(int days) {
        return days == 1 ? "1 day" : days + " days";
    }
}
