package embercup.core.plan;

import embercup.core.brew.Measurements;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.kitchen.Kitchen;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInput;
import java.util.function.Consumer;

/**
 * What a plan is made from. Immutable.
 *
 * @param cups 1–40
 * @param cupMl 30–1 000 mL
 * @param measured what stages really took; nothing before the brew
 * @param schools where practitioners disagree, what this cook holds to
 * @param taste the drinker's own factor on the recipe's dose, learned from notes; 1 when nothing is known
 * @param spentHerbs whether it is the second brew of herbs that the same request has brewed and strained once
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
        Measurements measured,
        Schools schools,
        boolean spentHerbs,
        double taste) {

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
                Measurements.NONE,
                Schools.of(recipe.tradition()),
                false,
                1);
    }

    /** Liquor wanted, mL: cups × cup size, less the water a concentrate is diluted with. */
    public double liquorMl() {
        return cups * cupMl / (1 + recipe.dilutionParts());
    }

    /** The most of it that one person drinks in a day, cups: all of it, or a day's drops of a tincture. */
    public double mostCupsADay() {
        return recipe.menstruum().cold() ? Math.min(cups, Menstruum.TINCTURE_ML_A_DAY / cupMl) : cups;
    }

    public PlanRequest withRecipe(Recipe other) {
        return with(d -> d.recipe = other);
    }

    public PlanRequest withCups(double others) {
        return with(d -> d.cups = others);
    }

    public PlanRequest withStrength(Strength other) {
        return with(d -> d.strength = other);
    }

    public PlanRequest withDrinker(Drinker other) {
        return with(d -> d.drinker = other);
    }

    public PlanRequest withKitchen(Kitchen other) {
        return with(d -> d.kitchen = other);
    }

    public PlanRequest withCustom(MeasureCustom other) {
        return with(d -> d.custom = other);
    }

    public PlanRequest withMeasured(Measurements others) {
        return with(d -> d.measured = others);
    }

    public PlanRequest withSchools(Schools others) {
        return with(d -> d.schools = others);
    }

    /** The second brew of the same herbs, or the first. */
    public PlanRequest spent(boolean herbs) {
        return with(d -> d.spentHerbs = herbs);
    }

    /** The same to the drinker's own taste. */
    public PlanRequest toTaste(double factor) {
        return with(d -> d.taste = factor);
    }

    private PlanRequest with(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.done();
    }

    /** A request while one thing of it changes. */
    private static final class Draft {
        private final PlanRequest before;
        private Recipe recipe;
        private double cups;
        private Strength strength;
        private Drinker drinker;
        private Kitchen kitchen;
        private MeasureCustom custom;
        private Measurements measured;
        private Schools schools;
        private boolean spentHerbs;
        private double taste;

        Draft(PlanRequest of) {
            before = of;
            recipe = of.recipe;
            cups = of.cups;
            strength = of.strength;
            drinker = of.drinker;
            kitchen = of.kitchen;
            custom = of.custom;
            measured = of.measured;
            schools = of.schools;
            spentHerbs = of.spentHerbs;
            taste = of.taste;
        }

        PlanRequest done() {
            return new PlanRequest(
                    recipe,
                    cups,
                    before.cupMl,
                    strength,
                    before.purpose,
                    drinker,
                    kitchen,
                    custom,
                    measured,
                    schools,
                    spentHerbs,
                    taste);
        }
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
