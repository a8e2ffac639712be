package embercup.core.plan;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.US_CUP_ML;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.label;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Form;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Tradition;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** More figures of kitchens; every one is common practice without a published source unless its comment names one. */
class MoreFiguresOfTheTradeTest {

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    /** Four cups to three and one and a half to one, at a boil without the lid: minutes, not hours. */
    @ParameterizedTest
    @CsvSource({"4, 3, 8, 25", "1.5, 1, 3, 12", "3, 2, 8, 17"})
    void kitchenReductionsTakeMinutes(double from, double to, double least, double most) {
        Recipe pot = recipe(
                Tradition.AYURVEDIC,
                to,
                US_CUP_ML,
                List.of(dried("ginger", Cut.CHOPPED, to, Unit.GRAM, 0)),
                heat(),
                reduce(to * US_CUP_ML),
                strain());
        Recipe written = new Recipe(
                pot.name(),
                pot.tradition(),
                pot.cups(),
                pot.cupMl(),
                OptionalDouble.of(from * US_CUP_ML),
                pot.additions(),
                pot.stages());
        Step reduction = plan(written).steps().stream()
                .filter(s -> kind(s).equals("reduce"))
                .findFirst()
                .orElseThrow();
        assertThat(reduction.durationS() / 60).isBetween(least, most);
    }

    /** ¾ lb of fresh rhizome, six cups just off the boil, covered for eight hours: a concentrate that is diluted and shaken. */
    @Test
    void anOvernightConcentrateIsServedInSmallAmounts() {
        Recipe jar = recipe(
                        Tradition.FOLK,
                        24,
                        US_CUP_ML,
                        List.of(fresh("ginger", Cut.PASTE, 0.75, Unit.POUND, 0)),
                        pour(),
                        steep(480),
                        new Stage.Strain(true))
                .diluted(3);
        BrewPlan plan = plan(jar);
        assertThat(plan.water().yieldMl()).isCloseTo(6 * US_CUP_ML, within(2.0));
        assertThat(plan.totalS() / 3600).isBetween(8.0, 9.0);
        assertThat(label(plan, plan.steps().get(plan.steps().size() - 1))).contains("shake it", "serve");
        assertThat(plan.additions().get(0).grams()).isCloseTo(340.2, within(0.2));
    }

    /** Two tablespoons of crushed seeds to two cups: boil three minutes, rest five. */
    @Test
    void crushedSeedsAreThroughInLessThanAQuarterOfAnHour() {
        Recipe pot = recipe(
                Tradition.FOLK,
                2,
                US_CUP_ML,
                List.of(dried("coriander", Cut.CRUSHED, 2, Unit.TABLESPOON, 0)),
                heat(),
                boil(3, true),
                new Stage.Rest(5, true),
                strain());
        assertThat(plan(pot).totalS() / 60).isBetween(10.0, 17.0);
    }

    /** Whole spices: a few minutes at a boil, then under the lid half an hour at least; two hours give more. */
    @Test
    void wholeSpicesGoOnGivingUnderTheLid() {
        assertThat(spices(120)).isGreaterThan(spices(30) * 1.02);
        assertThat(spices(30)).isGreaterThan(spices(1) * 1.1);
    }

    private static double spices(double restMin) {
        return plan(recipe(
                        Tradition.FOLK,
                        2,
                        US_CUP_ML,
                        List.of(
                                dried("cardamom", Cut.WHOLE, 3, Unit.POD, 0),
                                dried("clove", Cut.WHOLE, 4, Unit.PIECE, 0),
                                dried("cinnamon-true", Cut.WHOLE, 1, Unit.STICK, 0)),
                        heat(),
                        boil(4, false),
                        new Stage.Rest(restMin, true),
                        strain()))
                .brew()
                .drawn()
                .get(ExtractClass.BODY);
    }

    /** Caffeine of a black-tea bag at five minutes is about 45 mg (EFSA 2015, mem): a bag is 2 g. */
    @Test
    void aTeaBagHoldsAboutFortyFiveMilligrams() {
        double mgPerG =
                MATERIA.herb("black-tea", "herb").constituents().get(0).mgPerG().best();
        assertThat(mgPerG * Unit.BAG_G).isBetween(35.0, 60.0);
    }

    /** One liang is 3 g in today's clinics, other readings run several times higher. */
    @ParameterizedTest
    @CsvSource({"3, 9", "15.625, 46.875", "37.5, 112.5", "50, 150"})
    void threeLiangWeighWhatTheReadingSays(double liangG, double grams) {
        HerbMeasure measure = new HerbMeasure(MATERIA, new MeasureCustom(KitchenSystem.US, liangG));
        assertThat(measure.grams(
                                MATERIA.herb("cinnamon-twig", "herb"),
                                Form.DRIED,
                                Cut.CHOPPED,
                                Quantity.of(3, Unit.LIANG),
                                "unit")
                        .amount()
                        .best())
                .isCloseTo(grams, within(1e-9));
    }

    /** Fresh rhizome in a cup: a tablespoon thinly sliced is about a one-inch piece. */
    @Test
    void aTablespoonOfSlicesIsAboutAnInch() {
        HerbMeasure measure = new HerbMeasure(MATERIA, MeasureCustom.DEFAULT);
        var ginger = MATERIA.herb("ginger", "herb");
        double spoon = measure.grams(ginger, Form.FRESH, Cut.SLICED, Quantity.of(1, Unit.TABLESPOON), "unit")
                .amount()
                .best();
        var inch = measure.grams(ginger, Form.FRESH, Cut.SLICED, Quantity.of(1, Unit.INCH), "unit")
                .amount();
        assertThat(spoon).isBetween(inch.low() * 0.7, inch.high());
    }

    /** A mountain kitchen: at 3 000 m water boils near 90 °C (ISO 2533, IAPWS-IF97) and a root gives less in the same time. */
    @Test
    void aRootGivesLessInTheMountains() {
        PlanRequest low = PlanRequest.asWritten(embercup.core.Pots.rootPot());
        Kitchen k = Kitchen.STANDARD;
        PlanRequest high = low.withKitchen(new Kitchen(3000, k.roomC(), k.tapC(), k.vessel(), k.burner(), k.kettleW()));
        assertThat(PLANNER.plan(high).boilingC()).isBetween(89.0, 91.0);
        assertThat(PLANNER.plan(high).strength()).isLessThan(PLANNER.plan(low).strength());
    }

    /** The same pot loses the same water a minute: more cups reduce longer. */
    @Test
    void aPotForFourReducesLongerThanAPotForTwo() {
        Recipe two = recipe(
                Tradition.AYURVEDIC,
                2,
                US_CUP_ML,
                List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                heat(),
                new Stage.Reduce(2 * US_CUP_ML, Flame.MEDIUM, false),
                strain());
        double forTwo = reduceS(PlanRequest.asWritten(two));
        double forFour = reduceS(PlanRequest.asWritten(two).withCups(4));
        assertThat(forFour).isBetween(forTwo * 1.8, forTwo * 2.2);
    }

    private static double reduceS(PlanRequest request) {
        return PLANNER.plan(request).steps().stream()
                .filter(s -> kind(s).equals("reduce"))
                .mapToDouble(Step::durationS)
                .sum();
    }

    /** A large burner brings a pot to the boil sooner, but it boils off more, so that there is more to heat. */
    @Test
    void theLargeBurnerIsFasterButNotByMoreThanItsPower() {
        PlanRequest small = PlanRequest.asWritten(embercup.core.Pots.rootPot());
        PlanRequest large = small.withKitchen(Kitchen.STANDARD.withBurner(Burner.LARGE));
        double smallS = heatS(small);
        double largeS = heatS(large);
        assertThat(smallS / largeS).isBetween(1.3, 2000.0 / 1200 + 0.1);
    }

    private static double heatS(PlanRequest request) {
        return PLANNER.plan(request).steps().stream()
                .filter(s -> kind(s).equals("heat"))
                .mapToDouble(Step::durationS)
                .sum();
    }
}
