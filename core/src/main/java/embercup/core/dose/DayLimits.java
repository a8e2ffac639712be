package embercup.core.dose;

import embercup.core.materia.Condition;
import embercup.core.materia.DailyLimit;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;

/** What a drinker should not pass in a day of a limited constituent: the one home of that rule. Stateless. */
public final class DayLimits {

    private DayLimits() {}

    /**
     * The daily limit for one drinker, mg: by day, by body weight, in pregnancy and while breastfeeding, for a child; the
     * smallest counts.
     */
    public static Workings forDrinker(DailyLimit limit, Drinker drinker) {
        Workings kg = Workings.given(Term.BODY_WEIGHT, drinker.weightOrAssumedKg(), "kg");
        boolean child = drinker.ageYears() < Drinker.ADULT_YEARS;
        List<Workings> ends = new ArrayList<>();
        limit.mgPerDay().ifPresent(mg -> ends.add(child ? childsShare(limit, mg, kg) : perDay(limit, mg)));
        limit.mgPerKgPerDay().ifPresent(mg -> ends.add(perKg(limit, mg, kg, Term.LIMIT_BY_WEIGHT)));
        if (drinker.has(Condition.PREGNANT) || drinker.has(Condition.BREASTFEEDING)) {
            limit.pregnantMgPerDay()
                    .ifPresent(mg -> ends.add(Workings.sourced(Term.LIMIT_IN_PREGNANCY, mg, "mg", limit.source())));
        }
        if (child) {
            limit.childMgPerKgPerDay().ifPresent(mg -> ends.add(perKg(limit, mg, kg, Term.LIMIT_FOR_CHILD)));
        }
        return Workings.least(Term.LIMIT_FOR_DRINKER, "mg", ends).from(limit.source());
    }

    private static Workings perDay(DailyLimit limit, double mg) {
        return Workings.sourced(Term.LIMIT_PER_DAY, mg, "mg", limit.source());
    }

    private static Workings perKg(DailyLimit limit, double mg, Workings kg, Term term) {
        return Workings.product(term, "mg", Workings.sourced(Term.LIMIT_PER_KG, mg, "mg/kg", limit.source()), kg);
    }

    /** An adult's limit by body weight, against the weight that is assumed for an adult. */
    private static Workings childsShare(DailyLimit limit, double mg, Workings kg) {
        return Workings.quotient(
                Term.LIMIT_CHILDS_SHARE,
                "mg",
                Workings.product(Term.LIMIT_TIMES_WEIGHT, "mg·kg", perDay(limit, mg), kg),
                Workings.sourced(Term.ASSUMED_ADULT_WEIGHT, Drinker.ASSUMED_ADULT_KG, "kg", "efsa-coumarin"));
    }
}
