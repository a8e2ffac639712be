package embercup.core.plan;

import embercup.core.brew.MeasuredTimes;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.kitchen.Kitchen;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.workings.InvalidInput;

/**
 * What a plan is made from. Immutable.
 *
 * @param cups 1–40
 * @param cupMl 30–1 000 mL
 * @param measured what stages really took; nothing before the brew
 */
public record PlanRequest(
        Recipe recipe,
        double cups,
        double cupMl,
        Strength strength,
        Purpose purpose,
        Drinker drinker,
        Kitchen kitchen,
        MeasureCustom custom,
        MeasuredTimes measured) {

    /** The recipe as it is written: its own cups, standard strength, an adult, a standard kitchen. */
    public static PlanRequest asWritten(Recipe recipe) {
        return new PlanRequest(
                recipe,
                recipe.cups(),
                recipe.cupMl(),
                Strength.STANDARD,
                Purpose.EVERYDAY,
                Drinker.ADULT,
                Kitchen.STANDARD,
                MeasureCustom.DEFAULT,
                MeasuredTimes.NONE);
    }

    public PlanRequest withCups(double others) {
        return new PlanRequest(recipe, others, cupMl, strength, purpose, drinker, kitchen, custom, measured);
    }

    public PlanRequest withStrength(Strength other) {
        return new PlanRequest(recipe, cups, cupMl, other, purpose, drinker, kitchen, custom, measured);
    }

    public PlanRequest withDrinker(Drinker other) {
        return new PlanRequest(recipe, cups, cupMl, strength, purpose, other, kitchen, custom, measured);
    }

    public PlanRequest withKitchen(Kitchen other) {
        return new PlanRequest(recipe, cups, cupMl, strength, purpose, drinker, other, custom, measured);
    }

    public PlanRequest withMeasured(MeasuredTimes times) {
        return new PlanRequest(recipe, cups, cupMl, strength, purpose, drinker, kitchen, custom, times);
    }

    /** @throws InvalidInput with every number outside its limits */
    public void check() {
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("cups", cups, RecipeRules.FEWEST_CUPS, RecipeRules.MOST_CUPS, "cups");
        check.range("cupMl", cupMl, RecipeRules.SMALLEST_CUP_ML, RecipeRules.LARGEST_CUP_ML, "mL");
        check.range("drinker.ageYears", drinker.ageYears(), 0, 120, "years");
        drinker.weightKg().ifPresent(kg -> check.range("drinker.weightKg", kg, 2, 300, "kg"));
        check.range("kitchen.altitudeM", kitchen.altitudeM(), -400, 5000, "m");
        check.range("kitchen.roomC", kitchen.roomC(), -10, 45, "°C");
        check.range("kitchen.tapC", kitchen.tapC(), 0, 60, "°C");
        check.range("kitchen.kettleW", kitchen.kettleW(), 300, 4000, "W");
        check.range("kitchen.burner.lowW", kitchen.burner().lowW(), 20, 6000, "W");
        check.range("kitchen.burner.mediumW", kitchen.burner().mediumW(), 20, 6000, "W");
        check.range("kitchen.burner.highW", kitchen.burner().highW(), 20, 6000, "W");
        kitchen.vessel().ifPresent(v -> {
            check.range("kitchen.vessel.innerDiameterCm", v.innerDiameterCm(), 3, 60, "cm");
            check.range("kitchen.vessel.heightCm", v.heightCm(), 3, 60, "cm");
            check.range("kitchen.vessel.brimMl", v.brimMl(), 20, RecipeRules.MOST_ML * 3, "mL");
        });
        check.throwIfAny();
    }
}
