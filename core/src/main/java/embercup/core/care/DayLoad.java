package embercup.core.care;

import embercup.core.materia.Constituent;

/**
 * What a drinker's day holds of a limited constituent.
 *
 * @param mg milligrams in this plan and in everything else planned or drunk that day
 * @param planMg milligrams in this plan alone
 * @param limitMg milligrams a day for this drinker
 */
public record DayLoad(Constituent constituent, double mg, double planMg, double limitMg) {

    public boolean over() {
        return mg > limitMg * (1 + 1e-9);
    }
}
