package embercup.core.care;

import embercup.core.materia.Constituent;
import embercup.core.workings.Workings;

/**
 * What a drinker's day holds of a limited constituent. Immutable.
 *
 * @param day milligrams in this plan and in everything else planned or drunk that day
 * @param planMg milligrams in this plan alone
 * @param limit milligrams a day for this drinker
 * @param comparesOnly whether the limit serves to compare days and is no allowance
 */
public record DayLoad(
        Constituent constituent, Workings day, double planMg, Workings limit, boolean comparesOnly, String source) {

    public double mg() {
        return day.value();
    }

    public double limitMg() {
        return limit.value();
    }

    public boolean over() {
        return mg() > limitMg() * (1 + 1e-9);
    }

    /** Milligrams of this pot that the rest of the day leaves room for. */
    public double roomMg() {
        return limitMg() - (mg() - planMg);
    }
}
