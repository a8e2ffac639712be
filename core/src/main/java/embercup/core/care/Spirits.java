package embercup.core.care;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Severity;
import embercup.core.measure.Mass;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.Caution.Alcohol;
import embercup.core.plan.Caution.Alcohol.Advice;
import embercup.core.recipe.Menstruum;
import java.util.List;
import java.util.Optional;

/** The alcohol of a tincture: none for children, in pregnancy and while breastfeeding (common practice, no source). */
final class Spirits {

    private static final List<Condition> WITH_CARE =
            List.of(Condition.LIVER, Condition.SEDATIVE, Condition.DIABETES_MEDICINE, Condition.BLOOD_THINNER);

    private Spirits() {}

    static Optional<Caution> of(BrewPlan plan) {
        Menstruum menstruum = plan.request().recipe().menstruum();
        if (menstruum.kind() != Menstruum.Kind.SPIRIT) {
            return Optional.empty();
        }
        Advice advice = advice(plan.request().drinker());
        double ml = plan.request().mlADay();
        double grams = ml * menstruum.alcoholGPerMl();
        return Optional.of(new Alcohol(Volume.millilitres(ml), Mass.grams(grams), advice, severity(advice, grams)));
    }

    /** Worse the more of it is drunk, and whoever drinks it. */
    private static Severity severity(Advice advice, double grams) {
        Alcohol.Much much = Alcohol.much(grams);
        if (advice == Advice.NOT_FOR_DRINKER || much == Alcohol.Much.DRINKS) {
            return Severity.STOP;
        }
        return advice == Advice.ASK_PRESCRIBER || much == Alcohol.Much.DRINK ? Severity.CARE : Severity.NOTE;
    }

    private static Advice advice(Drinker drinker) {
        boolean never = drinker.ageYears() < Drinker.ADULT_YEARS
                || drinker.has(Condition.PREGNANT)
                || drinker.has(Condition.BREASTFEEDING);
        if (never) {
            return Advice.NOT_FOR_DRINKER;
        }
        return WITH_CARE.stream().anyMatch(drinker::has) ? Advice.ASK_PRESCRIBER : Advice.NONE;
    }
}
