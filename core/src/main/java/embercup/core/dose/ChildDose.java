package embercup.core.dose;

import embercup.core.workings.Workings;

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

    public static double clark(double weightKg) {
        return Math.min(1, weightKg / CLARK_ADULT_KG);
    }

    public static double young(double ageYears) {
        return ageYears / (ageYears + YOUNG_YEARS);
    }

    /** Share of the adult dose, 0–1, with its workings; 1 for an adult, 0 under two years. */
    public static Workings share(Drinker drinker) {
        double age = drinker.ageYears();
        if (age >= Drinker.ADULT_YEARS) {
            return Workings.given("share of an adult dose", 1, "");
        }
        if (age < YOUNGEST_YEARS) {
            return Workings.computed("share of an adult dose", "none under two years without a clinician", 0, "");
        }
        double weight = drinker.weightOrAssumedKg();
        Workings clark = Workings.computed(
                        "Clark's rule", "weight ÷ 68 kg", clark(weight), "", Workings.given("weight", weight, "kg"))
                .from("clark");
        if (age > YOUNG_UNTIL_YEARS) {
            return Workings.computed("share of an adult dose", "Clark's rule, over twelve", clark.value(), "", clark);
        }
        Workings young = Workings.computed(
                        "Young's rule", "age ÷ (age + 12)", young(age), "", Workings.given("age", age, "years"))
                .from("young");
        return Workings.computed(
                "share of an adult dose",
                "the smaller of both rules",
                Math.min(clark.value(), young.value()),
                "",
                clark,
                young);
    }
}
