package embercup.core.care;

import embercup.core.materia.Constituent;
import embercup.core.materia.Severity;
import embercup.core.plan.Caution.Against;
import embercup.core.workings.Workings;

/**
 * What a drinker's day holds of a limited constituent. Immutable.
 *
 * @param day milligrams in this plan and in everything else planned or drunk that day
 * @param planMg milligrams in this plan alone
 * @param limit milligrams a day for this drinker
 * @param against how the day stands against the limit
 */
public record DayLoad(
        Constituent constituent, Workings day, double planMg, Workings limit, Against against, String source) {

    public double mg() {
        return day.value();
    }

    public double limitMg() {
        return limit.value();
    }

    /** Whether the brew must not start for it. */
    public boolean stops() {
        return against == Against.OVER;
    }

    /** Milligrams of this pot that the rest of the day leaves room for. */
    public double roomMg() {
        return limitMg() - (mg() - planMg);
    }

    static boolean over(double mg, double limitMg) {
        return mg > limitMg * (1 + 1e-9);
    }

    /** Whether there is anything to say of it. */
    boolean worthTelling(double share) {
        return against.severity() != Severity.NOTE || mg() >= limitMg() * share;
    }
}
