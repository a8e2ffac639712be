package embercup.core.dose;

import embercup.core.materia.Condition;
import embercup.core.materia.Herb.HerbCaution;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Who drinks. Immutable.
 *
 * @param ageYears 0–120
 * @param weightKg 2–300; empty when not known
 * @param conditions what is known of the person
 * @param trimester of the pregnancy, 1–3; empty when it is not known, or there is none
 * @param allergies slugs of herbs the person must not have
 * @param dislikes slugs of herbs the person would rather not have
 */
public record Drinker(
        double ageYears,
        OptionalDouble weightKg,
        Set<Condition> conditions,
        OptionalInt trimester,
        Set<String> allergies,
        Set<String> dislikes) {

    /** Body weight assumed for an adult whose weight is not known, kg (as in the worked checks of EFSA opinions, mem). */
    public static final double ASSUMED_ADULT_KG = 60;
    /** From this age a drinker counts as an adult, years. */
    public static final double ADULT_YEARS = 18;

    public static final Drinker ADULT = new Drinker(40, OptionalDouble.empty(), Set.of(), Set.of());

    public Drinker {
        conditions = Set.copyOf(conditions);
        allergies = Set.copyOf(allergies);
        dislikes = Set.copyOf(dislikes);
    }

    /** Somebody who likes everything. */
    public Drinker(double ageYears, OptionalDouble weightKg, Set<Condition> conditions, Set<String> allergies) {
        this(ageYears, weightKg, conditions, OptionalInt.empty(), allergies, Set.of());
    }

    public Drinker inTrimester(int known) {
        return new Drinker(ageYears, weightKg, conditions, OptionalInt.of(known), allergies, dislikes);
    }

    public boolean has(Condition condition) {
        return conditions.contains(condition);
    }

    /** Whether a caution of a herb is for this drinker; in a pregnancy of unknown length that of any trimester is. */
    public boolean meets(HerbCaution caution) {
        return caution.when().filter(w -> !has(w)).isEmpty()
                && (caution.trimesters().isEmpty()
                        || trimester.isEmpty()
                        || caution.trimesters().contains(trimester.getAsInt()));
    }

    /**
     * Weight in kilograms: the given one, else 60 for an adult and 8 + 2·age for a child (the usual estimate by age, from
     * memory of paediatric handbooks).
     */
    public double weightOrAssumedKg() {
        double assumed = ageYears >= ADULT_YEARS ? ASSUMED_ADULT_KG : Math.min(ASSUMED_ADULT_KG, 8 + 2 * ageYears);
        return weightKg.orElse(assumed);
    }
}
