package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Herb;
import embercup.core.materia.Severity;

/** Whether a herb is nothing that stops a drinker. */
final class Suits {

    private Suits() {}

    static boolean herb(Herb herb, Drinker drinker) {
        boolean cautioned = cautioned(herb, drinker, Severity.STOP);
        boolean tooYoung =
                herb.ageFloorYears().filter(f -> drinker.ageYears() < f.value()).isPresent();
        return herb.stop().isEmpty()
                && !cautioned
                && !tooYoung
                && !drinker.allergies().contains(herb.slug());
    }

    /** Whether it neither stops a drinker nor asks for care. */
    static boolean freely(Herb herb, Drinker drinker) {
        return herb(herb, drinker) && !cautioned(herb, drinker, Severity.CARE);
    }

    private static boolean cautioned(Herb herb, Drinker drinker, Severity severity) {
        return herb.cautions().stream().anyMatch(c -> c.severity() == severity && drinker.meets(c));
    }
}
