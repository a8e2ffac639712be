package embercup.core.dose;

import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.OptionalDouble;

/** The share of an adult dose for a child: the smaller of Clark's and Young's rule. */
public final class ChildDose {

    /** Clark's adult: 150 lb (source key {@code clark}), kg. */
    private static final double CLARK_ADULT_KG = 68;
    /** Young's constant (source key {@code young}), years. */
    private static final double YOUNG_YEARS = 12;
    /** Young's rule is given for children up to this age; above it only weight decides (handbook rule, mem). */
    private static final double YOUNG_UNTIL_YEARS = 12;
    /** Below this age nothing is dosed without a clinician. */
    public static final double YOUNGEST_YEARS = 2;

    private ChildDose() {}

    /** Share of the adult dose, 0–1, with its workings; 1 for an adult, 0 under two years. */
    public static Workings share(Drinker drinker) {
        double age = drinker.ageYears();
        if (age >= Drinker.ADULT_YEARS) {
            return Workings.given(Term.SHARE_OF_ADULT, 1, "");
        }
        if (age < YOUNGEST_YEARS) {
            return Workings.given(Term.NONE_UNDER_TWO, 0, "");
        }
        Workings clark = clark(drinker.weightOrAssumedKg());
        return age > YOUNG_UNTIL_YEARS
                ? Workings.least(Term.SHARE_OF_ADULT, "", clark)
                : Workings.least(Term.SHARE_OF_ADULT, "", clark, young(age));
    }

    /** The same where a recipe says a child's share of its own: the smaller counts, and an adult has all. */
    public static Workings share(Drinker drinker, OptionalDouble recipes) {
        Workings share = share(drinker);
        return recipes.isEmpty() || share.value() == 0 || drinker.ageYears() >= Drinker.ADULT_YEARS
                ? share
                : Workings.least(
                        Term.SHARE_OF_ADULT, "", share, Workings.given(Term.AS_RECIPE_SAYS, recipes.getAsDouble(), ""));
    }

    /** Weight ÷ 68 kg, at most 1. */
    private static Workings clark(double weightKg) {
        Workings byWeight = Workings.quotient(
                        Term.CLARKS_RULE,
                        "",
                        Workings.given(Term.BODY_WEIGHT, weightKg, "kg"),
                        Workings.sourced(Term.CLARKS_ADULT, CLARK_ADULT_KG, "kg", "clark"))
                .from("clark");
        return byWeight.value() <= 1
                ? byWeight
                : Workings.least(Term.CLARKS_RULE, "", byWeight, Workings.given(Term.ONE, 1, ""));
    }

    /** Age ÷ (age + 12). */
    private static Workings young(double ageYears) {
        Workings age = Workings.given(Term.AGE, ageYears, "years");
        return Workings.quotient(
                        Term.YOUNGS_RULE,
                        "",
                        age,
                        Workings.sum(
                                Term.AGE_AND_TWELVE,
                                "years",
                                age,
                                Workings.sourced(Term.YOUNGS_TWELVE, YOUNG_YEARS, "years", "young")))
                .from("young");
    }
}
