package embercup.core.dose;

import embercup.core.materia.Condition;
import embercup.core.materia.DailyLimit;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
        limit.amounts()
                .mgPerDay()
                .ifPresent(mg -> ends.add(child ? childsShare(perDay(limit, mg), kg) : perDay(limit, mg)));
        limit.amounts().mgPerKgPerDay().ifPresent(mg -> ends.add(perKg(limit, mg, kg, Term.LIMIT_BY_WEIGHT)));
        if (drinker.has(Condition.PREGNANT) || drinker.has(Condition.BREASTFEEDING)) {
            limit.amounts()
                    .pregnantMgPerDay()
                    .ifPresent(mg -> ends.add(Workings.sourced(Term.LIMIT_IN_PREGNANCY, mg, "mg", limit.source())));
        }
        if (child) {
            limit.amounts().childMgPerKgPerDay().ifPresent(mg -> ends.add(perKg(limit, mg, kg, Term.LIMIT_FOR_CHILD)));
        }
        return Workings.least(Term.LIMIT_FOR_DRINKER, "mg", ends).from(limit.source());
    }

    /** The most in one cup for one drinker, mg; empty when there is no such limit. A child's is that by its weight. */
    public static Optional<Workings> atOnce(DailyLimit limit, Drinker drinker) {
        Workings kg = Workings.given(Term.BODY_WEIGHT, drinker.weightOrAssumedKg(), "kg");
        return limit.amounts().mgAtOnce().stream()
                .boxed()
                .map(mg -> Workings.sourced(Term.LIMIT_AT_ONCE, mg, "mg", limit.source()))
                .map(mg -> drinker.ageYears() < Drinker.ADULT_YEARS ? childsShare(mg, kg) : mg)
                .findFirst();
    }

    private static Workings perDay(DailyLimit limit, double mg) {
        return Workings.sourced(Term.LIMIT_PER_DAY, mg, "mg", limit.source());
    }

    private static Workings perKg(DailyLimit limit, double mg, Workings kg, Term term) {
        return Workings.product(term, "mg", Workings.sourced(Term.LIMIT_PER_KG, mg, "mg/kg", limit.source()), kg);
    }

    /** An adult's limit by body weight, against the weight that is assumed for an adult. */
    private static Workings childsShare(Workings adults, Workings kg) {
        return Workings.quotient(
                Term.LIMIT_CHILDS_SHARE,
                "mg",
                Workings.product(Term.LIMIT_TIMES_WEIGHT, "mg·kg", adults, kg),
                Workings.sourced(Term.ASSUMED_ADULT_WEIGHT, Drinker.ASSUMED_ADULT_KG, "kg", "efsa-coumarin"));
    }
}
