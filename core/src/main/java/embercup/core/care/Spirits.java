package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Severity;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.recipe.Menstruum;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The alcohol of a tincture: none for children, in pregnancy and while breastfeeding (common practice, no source). */
final class Spirits {

    private static final List<Condition> WITH_CARE =
            List.of(Condition.LIVER, Condition.SEDATIVE, Condition.DIABETES_MEDICINE, Condition.BLOOD_THINNER);

    private Spirits() {}

    static Optional<Caution> of(BrewPlan plan) {
        Menstruum menstruum = plan.request().recipe().menstruum();
        Drinker drinker = plan.request().drinker();
        if (menstruum.kind() != Menstruum.Kind.SPIRIT) {
            return Optional.empty();
        }
        String holds = String.format(
                Locale.ROOT,
                "A day's %.0f mL of it hold %.1f g of alcohol.",
                Menstruum.TINCTURE_ML_A_DAY,
                Menstruum.TINCTURE_ML_A_DAY * menstruum.alcoholGPerMl());
        boolean never = drinker.ageYears() < Drinker.ADULT_YEARS
                || drinker.has(Condition.PREGNANT)
                || drinker.has(Condition.BREASTFEEDING);
        if (never) {
            return Optional.of(Caution.of(
                    "alcohol",
                    Severity.STOP,
                    holds + " Not for children, in pregnancy or while breastfeeding: draw it with glycerin or vinegar.",
                    "practice"));
        }
        boolean care = WITH_CARE.stream().anyMatch(drinker::has);
        return Optional.of(Caution.of(
                "alcohol",
                care ? Severity.CARE : Severity.NOTE,
                holds + (care ? " Ask whoever prescribes your medicine, or draw it with glycerin or vinegar." : ""),
                "practice"));
    }
}
