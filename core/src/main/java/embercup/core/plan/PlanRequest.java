package embercup.core.plan;

import embercup.core.dose.ChildDose;
import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.kitchen.Kitchen;
import embercup.core.materia.Condition;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Workings;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a plan is made from. Immutable.
 *
 * @param schools where practitioners disagree, what this cook holds to
 * @param taking how many cups a day, who else drinks of it, whether it was prescribed
 * @param spentHerbs whether it is the second brew of herbs that the same request has brewed and strained once
 */
public record PlanRequest(
        Recipe recipe,
        Serving serving,
        Drinker drinker,
        Kitchen kitchen,
        MeasureCustom custom,
        Schools schools,
        Taking taking,
        boolean spentHerbs) {

    /** Nobody drinks more of one pot in a day who is not told to (common practice, no source). */
    private static final double USUAL_MOST_CUPS = 3;

    /**
     * How much of it, how strong and what for.
     *
     * @param cups 1–40
     * @param cupMl 30–1 000 mL
     * @param taste the drinker's own factor on the recipe's dose, learned from notes; 1 when nothing is known
     */
    public record Serving(double cups, double cupMl, Strength strength, Purpose purpose, double taste) {}

    /** The recipe as it is written: its own cups, standard strength, an adult, a standard kitchen. */
    public static PlanRequest asWritten(Recipe recipe) {
        return new PlanRequest(
                recipe,
                new Serving(recipe.cups(), recipe.cupMl(), Strength.STANDARD, Purpose.EVERYDAY, 1),
                Drinker.ADULT,
                Kitchen.STANDARD,
                MeasureCustom.DEFAULT,
                Schools.of(recipe.tradition()),
                Taking.AS_RECIPE_SAYS,
                false);
    }

    public double cups() {
        return serving.cups;
    }

    public double cupMl() {
        return serving.cupMl;
    }

    public Strength strength() {
        return serving.strength;
    }

    public Purpose purpose() {
        return serving.purpose;
    }

    public double taste() {
        return serving.taste;
    }

    /** Liquor wanted, mL: cups × cup size, less the water a concentrate is diluted with. */
    public double liquorMl() {
        return cups() * cupMl() / (1 + recipe.dilutionParts());
    }

    /**
     * How many cups of it the drinker takes in a day: as the order says, the recipe's own posology, a day's drops of a tincture
     * of whose dose nothing is said, and else all of the pot, up to three cups.
     */
    public double cupsADay() {
        if (taking.cupsADay().isPresent()) {
            return taking.cupsADay().getAsDouble();
        }
        if (recipe.menstruum().cold()) {
            return posology()
                    .filter(p -> p.more().dose().isPresent())
                    .map(Posology::cupsADay)
                    .orElse(Math.min(cups(), Menstruum.TINCTURE_ML_A_DAY / cupMl()));
        }
        return posology().map(Posology::cupsADay).orElse(Math.min(cups(), USUAL_MOST_CUPS));
    }

    /** The same in mL as it is drunk. */
    public double mlADay() {
        return cupsADay() * cupMl();
    }

    /** The same as a share of all that is made; more than 1 when the posology asks for more than one pot a day. */
    public double shareADay() {
        return cupsADay() / cups();
    }

    /** What everybody takes of it in a day, mL as it is drunk. */
    public double pouredADayMl() {
        double cups = cupsADay()
                + taking.others().stream()
                        .mapToDouble(o -> o.cupsADay() * o.serving())
                        .sum();
        return cups * cupMl();
    }

    /** The same as it is in the jug: of a concentrate before it is thinned, mL. */
    public double liquorADayMl() {
        return pouredADayMl() / (1 + recipe.dilutionParts());
    }

    /** What one cup takes out of the jug: of a concentrate before it is thinned, mL. */
    public double liquorOfCupMl() {
        return cupMl() / (1 + recipe.dilutionParts());
    }

    /** For how many days it is; a tincture for many. */
    public int days() {
        return Math.max(1, (int) Math.ceil(cups() * cupMl() / pouredADayMl() - 1e-6));
    }

    /** A child's share of an adult's cup as the recipe says, 0–1; empty when it does not. */
    public OptionalDouble childShare() {
        return recipe.childShare();
    }

    /** What its drinker has of an adult's cup, 0–1: all of it, or a child's share. */
    public Workings shareOfAdult() {
        return ChildDose.share(drinker, childShare());
    }

    public PlanRequest withRecipe(Recipe other) {
        return new PlanRequest(other, serving, drinker, kitchen, custom, schools, taking, spentHerbs);
    }

    public PlanRequest withServing(Serving other) {
        return new PlanRequest(recipe, other, drinker, kitchen, custom, schools, taking, spentHerbs);
    }

    public PlanRequest withCups(double others) {
        return withServing(new Serving(others, cupMl(), strength(), purpose(), taste()));
    }

    public PlanRequest withStrength(Strength other) {
        return withServing(new Serving(cups(), cupMl(), other, purpose(), taste()));
    }

    /** The same to the drinker's own taste. */
    public PlanRequest toTaste(double factor) {
        return withServing(new Serving(cups(), cupMl(), strength(), purpose(), factor));
    }

    public PlanRequest withDrinker(Drinker other) {
        return new PlanRequest(recipe, serving, other, kitchen, custom, schools, taking, spentHerbs);
    }

    public PlanRequest withKitchen(Kitchen other) {
        return new PlanRequest(recipe, serving, drinker, other, custom, schools, taking, spentHerbs);
    }

    public PlanRequest withCustom(MeasureCustom other) {
        return new PlanRequest(recipe, serving, drinker, kitchen, other, schools, taking, spentHerbs);
    }

    public PlanRequest withSchools(Schools others) {
        return new PlanRequest(recipe, serving, drinker, kitchen, custom, others, taking, spentHerbs);
    }

    public PlanRequest withTaking(Taking other) {
        return new PlanRequest(recipe, serving, drinker, kitchen, custom, schools, other, spentHerbs);
    }

    /** As the recipe says that this drinker takes it; empty when it does not say. */
    public Optional<Posology> posology() {
        return recipe.posology().map(p -> p.of(drinker.ageYears(), drinker.conditions(), recipe.cupMl(), custom));
    }

    /** Whether somebody said how many cups a day it is. */
    public boolean cupsSaid() {
        return taking.cupsADay().isPresent() || recipe.posology().isPresent();
    }

    /** Days in a row that it is taken, as far as anybody said. */
    public OptionalInt daysOn() {
        return taking.prescribedDays().isPresent()
                ? taking.prescribedDays()
                : posology().map(Posology::daysInARow).orElse(OptionalInt.empty());
    }

    public boolean prescribed() {
        return taking.prescribedDays().isPresent();
    }

    /** A practitioner's dose is for grown-ups who are not pregnant and do not nurse (common practice, no source). */
    public static boolean prescribable(Drinker drinker) {
        return drinker.ageYears() >= Drinker.ADULT_YEARS
                && !drinker.has(Condition.PREGNANT)
                && !drinker.has(Condition.BREASTFEEDING);
    }

    /** The second brew of the same herbs, or the first. */
    public PlanRequest spent(boolean herbs) {
        return new PlanRequest(recipe, serving, drinker, kitchen, custom, schools, taking, herbs);
    }

    /** @throws InvalidInputException with every number outside its limits */
    public void check() {
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("cups", cups(), Limit.CUPS);
        check.range("cupMl", cupMl(), Limit.CUP_ML);
        check.range("drinker.ageYears", drinker.ageYears(), Limit.AGE_YEARS);
        taking.cupsADay().ifPresent(n -> check.range("cupsADay", n, Limit.CUPS_A_DAY));
        taking.prescribedDays().ifPresent(n -> {
            check.range("prescribedDays", n, Limit.PRESCRIBED_DAYS);
            check.require(prescribable(drinker), "prescribedDays", n, new Wanted.NotPrescribable());
        });
        for (int i = 0; i < taking.others().size(); i++) {
            Taking.Sharer other = taking.others().get(i);
            check.range("others[" + i + "].cupsADay", other.cupsADay(), Limit.SERVINGS_A_DAY);
            check.range("others[" + i + "].serving", other.serving(), Limit.SHARE);
        }
        drinker.weightKg().ifPresent(kg -> check.range("drinker.weightKg", kg, Limit.WEIGHT_KG));
        kitchen.check(check, "kitchen");
        check.throwIfAny();
    }
}
