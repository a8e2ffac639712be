package embercup.core;

import static embercup.core.Pots.WORDS;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import embercup.core.plan.Step;
import embercup.core.reading.Reading;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import embercup.core.words.Words;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/** Made-up pots for the tests. */
public final class Pots {

    public static final Materia MATERIA = Materia.shipped();
    public static final Words WORDS = Words.ofLanguage("en");
    public static final Planner PLANNER = new Planner(MATERIA);
    public static final double US_CUP_ML = 236.5882365;

    private Pots() {}

    public static Addition dried(String herb, Cut cut, double amount, Unit unit, int stage) {
        return new Addition(herb, Form.DRIED, cut, Quantity.of(amount, unit), stage);
    }

    public static Addition fresh(String herb, Cut cut, double amount, Unit unit, int stage) {
        return new Addition(herb, Form.FRESH, cut, Quantity.of(amount, unit), stage);
    }

    public static Recipe recipe(Tradition tradition, double cups, double cupMl, List<Addition> herbs, Stage... stages) {
        return new Recipe("A pot", tradition, cups, cupMl, OptionalDouble.empty(), herbs, List.of(stages));
    }

    /** One herb in a cup of 240 mL, cut as its part is usually cut, in the stages that are proposed for it. */
    public static Recipe proposedCup(Herb herb, Form form, double grams) {
        Cut cut = herb.part() == PlantPart.SEED ? Cut.CRUSHED : herb.part().hard() ? Cut.SLICED : Cut.CHOPPED;
        Recipe bare = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(new Addition(herb.slug(), form, cut, Quantity.of(grams, Unit.GRAM), 0)));
        return Proposal.of(MATERIA, bare, Schools.of(Tradition.FOLK)).recipe();
    }

    public static Recipe withPour(Recipe r, double pourMl) {
        return new Recipe(
                r.name(), r.tradition(), r.cups(), r.cupMl(), OptionalDouble.of(pourMl), r.additions(), r.stages());
    }

    public static Stage heat() {
        return new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true);
    }

    public static Stage pour() {
        return new Stage.Pour(OptionalDouble.empty());
    }

    public static Stage boil(double minutes, boolean lid) {
        return new Stage.Boil(minutes, Flame.MEDIUM, lid);
    }

    public static Stage simmer(double minutes, boolean lid) {
        return new Stage.Simmer(minutes, Flame.LOW, lid);
    }

    public static Stage reduce(double toMl) {
        return new Stage.Reduce(toMl, Flame.MEDIUM, false);
    }

    public static Stage steep(double minutes) {
        return new Stage.Steep(minutes, true);
    }

    public static Stage macerate(double minutes) {
        return new Stage.Macerate(minutes, OptionalDouble.empty(), true);
    }

    public static Stage strain() {
        return new Stage.Strain(false);
    }

    /** Two cups of linden, poured over and covered for ten minutes. */
    public static Recipe lindenCup() {
        return recipe(
                Tradition.MONOGRAPH,
                2,
                200,
                List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
    }

    /** Two cups of dandelion and burdock root, simmered covered for 25 minutes. */
    public static Recipe rootPot() {
        return recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("dandelion", Cut.SLICED, 7, Unit.GRAM, 0), dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0)),
                heat(),
                simmer(25, true),
                strain());
    }

    /** Three cups from two boils of astragalus and codonopsis. */
    public static Recipe twoBoils() {
        return recipe(
                Tradition.CHINESE,
                3,
                US_CUP_ML,
                List.of(
                        dried("astragalus", Cut.SLICED, 15, Unit.GRAM, 0),
                        dried("codonopsis", Cut.SLICED, 12, Unit.GRAM, 0),
                        dried("jujube", Cut.SLICED, 9, Unit.GRAM, 0)),
                simmer(40, false),
                strain(),
                new Stage.Refill(3 * US_CUP_ML),
                simmer(40, false),
                strain(),
                new Stage.Combine());
    }

    public static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    public static Drinker adultWith(double kg, Condition... conditions) {
        return new Drinker(41, OptionalDouble.of(kg), Set.of(conditions), Set.of());
    }

    public static Drinker child(double years, double kg) {
        return new Drinker(years, OptionalDouble.of(kg), Set.of(), Set.of());
    }

    /** What a step says. */
    public static String label(BrewPlan plan, Step step) {
        return WORDS.label(plan, step);
    }

    /** What a step is, as a test names it: prep, heat, or the code of its stage. */
    public static String kind(Step step) {
        return step instanceof Step.OfStage of ? of.kind().code() : step.stage() < 0 ? "prep" : "heat";
    }

    /** The words of an error, field by field. */
    public static String said(Throwable error) {
        return WORDS.message(((InvalidInputException) error).violations());
    }

    /** What a line of a written recipe leaves open, in words. */
    public static List<String> asked(Reading.Line line) {
        return line.asks().stream().map(a -> WORDS.say(a.question())).toList();
    }

    /** What a line of a written recipe was understood as, in words. */
    public static List<String> understood(Reading.Line line) {
        return line.reads().stream().map(WORDS::say).toList();
    }
}
