package embercup.core.brew;

import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.macerate;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How herbs give themselves to water. Directions are common practice, no source; rates after Spiro (mem). */
class ExtractionTest {

    private static BrewPlan cup(Addition herb, Stage... stages) {
        return plan(recipe(Tradition.FOLK, 2, 200, List.of(herb), stages));
    }

    private static double share(BrewPlan plan, ExtractClass extractClass) {
        return plan.brew().share(extractClass);
    }

    /** Spiro (mem): black tea leaf at 80 °C gives with about 0.3–0.8 per minute. */
    @Test
    void blackTeaGivesAtTheRateOfTheLiterature() {
        Charge tea = Charge.of(
                embercup.core.Pots.MATERIA,
                embercup.core.Pots.MATERIA.herb("black-tea", "herb"),
                embercup.core.materia.Form.DRIED,
                Cut.CHOPPED,
                2,
                0,
                embercup.core.recipe.Menstruum.WATER);
        assertThat(tea.ratePerS(embercup.core.materia.ExtractClass.BODY) * 60).isBetween(0.3, 0.8);
    }

    @Test
    void aromaComesBeforeBodyBeforeBiteAndACrushedHerbBeforeAWholeOne() {
        for (String slug : new String[] {"linden", "dandelion", "fennel", "cinnamon-cassia", "reishi"}) {
            var herb = embercup.core.Pots.MATERIA.herb(slug, "herb");
            InfusionTimes whole =
                    InfusionTimes.of(embercup.core.Pots.MATERIA, herb, embercup.core.materia.Form.DRIED, Cut.WHOLE);
            InfusionTimes ground =
                    InfusionTimes.of(embercup.core.Pots.MATERIA, herb, embercup.core.materia.Form.DRIED, Cut.GROUND);
            assertThat(whole.aromaMin()).as(slug).isLessThan(whole.bodyMin());
            assertThat(whole.bodyMin()).as(slug).isLessThan(whole.biteMin());
            assertThat(ground.bodyMin()).as(slug).isLessThan(whole.bodyMin() / 5);
        }
    }

    /** A flower gives half its body within a usual infusion, a chopped root does not (common practice, no source). */
    @Test
    void aTenMinuteInfusionIsEnoughForAFlowerAndNotForARoot() {
        var materia = embercup.core.Pots.MATERIA;
        var dried = embercup.core.materia.Form.DRIED;
        assertThat(InfusionTimes.of(materia, materia.herb("linden", "herb"), dried, Cut.CHOPPED)
                        .bodyMin())
                .isLessThan(10);
        assertThat(InfusionTimes.of(materia, materia.herb("dandelion", "herb"), dried, Cut.WHOLE)
                        .bodyMin())
                .isGreaterThan(10);
    }

    /** Spiro (mem): the rate rises two- to threefold for each 20 °C. */
    @Test
    void twentyDegreesMoreDoubleOrTripleTheRate() {
        double kj =
                embercup.core.Pots.MATERIA.extraction().of(ExtractClass.BODY).activationKj();
        for (double celsius : new double[] {40, 60, 80}) {
            double factor = Liquor.arrhenius(kj, celsius + 20, celsius + 273.15);
            assertThat(factor).isBetween(2.0, 3.2);
        }
    }

    @Test
    void flowersHaveGivenInTenMinutesWhatARootGivesInHalfAnHour() {
        double flower = share(
                cup(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0), pour(), steep(10), strain()), ExtractClass.BODY);
        double rootPoured = share(
                cup(dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0), pour(), steep(10), strain()), ExtractClass.BODY);
        double rootSimmered = share(
                cup(dried("burdock", Cut.SLICED, 6, Unit.GRAM, 0), simmer(30, true), strain()), ExtractClass.BODY);
        assertThat(rootPoured).isLessThan(0.6 * flower);
        assertThat(rootSimmered).isGreaterThan(0.8 * flower);
    }

    @Test
    void aLidKeepsTheAroma() {
        Addition mint = dried("peppermint", Cut.CHOPPED, 3, Unit.GRAM, 0);
        double covered = share(cup(mint, pour(), new Stage.Steep(15, true), strain()), ExtractClass.AROMA);
        double open = share(cup(mint, pour(), new Stage.Steep(15, false), strain()), ExtractClass.AROMA);
        assertThat(covered).isGreaterThan(open * 1.2);
    }

    /**
     * Volatile oil is hardly soluble: of 1.5 g of peppermint to 150 mL, covered for ten minutes, about a fifth of the oil is in
     * the cup (published shares of peppermint teas lie between 15 and 25 %, mem); an open boil keeps far less.
     */
    @Test
    void aCoveredCupOfPeppermintHoldsAboutAFifthOfItsOil() {
        List<Addition> mint = List.of(dried("peppermint", Cut.CHOPPED, 1.5, Unit.GRAM, 0));
        BrewPlan covered = plan(recipe(Tradition.MONOGRAPH, 1, 150, mint, pour(), steep(10), strain()));
        BrewPlan boiled = plan(recipe(Tradition.MONOGRAPH, 1, 150, mint, boil(10, false), strain()));
        assertThat(share(covered, ExtractClass.AROMA)).isBetween(0.15, 0.25);
        assertThat(share(boiled, ExtractClass.AROMA)).isLessThan(0.6 * share(covered, ExtractClass.AROMA));
    }

    /**
     * Two boils of forty minutes draw more than one with all of the water, from thin and from crowded pots (common practice, no
     * source).
     */
    @ParameterizedTest
    @CsvSource({"astragalus, 9", "astragalus, 30", "astragalus, 90", "dandelion, 12", "liquorice, 6", "codonopsis, 60"})
    void twoBoilsDrawMoreThanOne(String root, double grams) {
        List<Addition> herb = List.of(dried(root, Cut.SLICED, grams, Unit.GRAM, 0));
        BrewPlan one =
                plan(withPour(recipe(Tradition.CHINESE, 3, 240, herb, simmer(40, true), strain()), 720 + grams * 3));
        BrewPlan two = plan(withPour(
                recipe(
                        Tradition.CHINESE,
                        3,
                        240,
                        herb,
                        simmer(40, true),
                        strain(),
                        new Stage.Refill(360),
                        simmer(40, true),
                        strain(),
                        new Stage.Combine()),
                360 + grams * 3));
        assertThat(share(two, ExtractClass.BODY)).isGreaterThan(share(one, ExtractClass.BODY));
    }

    /** Spent herbs give a fifth to a third of what the first brew gave (common practice, no source). */
    @ParameterizedTest
    @CsvSource({
        "astragalus, 24, 25, false",
        "astragalus, 18, 30, false",
        "burdock, 12, 15, false",
        "dandelion, 8, 10, false",
        "nettle, 8, 10, true",
        "nettle, 6, 10, true",
        "codonopsis, 24, 25, false",
        "linden, 3, 10, true",
        "liquorice, 4, 10, false",
        "cinnamon-true, 2, 10, false",
        "peppermint, 4, 10, true",
        "lemon-balm, 6, 8, true",
        "chamomile, 6, 8, true",
        "sage, 3, 10, true"
    })
    void spentHerbsGiveAFifthToAThird(String slug, double grams, double minutes, boolean steeped) {
        List<Addition> herb = List.of(dried(slug, steeped ? Cut.CHOPPED : Cut.SLICED, grams, Unit.GRAM, 0));
        PlanRequest first = PlanRequest.asWritten(
                steeped
                        ? recipe(Tradition.FOLK, 2, 240, herb, pour(), steep(minutes), strain())
                        : recipe(Tradition.FOLK, 2, 240, herb, simmer(minutes, true), strain()));
        double once = embercup.core.Pots.PLANNER.plan(first).brew().drawn().get(ExtractClass.BODY);
        double again = embercup.core.Pots.PLANNER
                .plan(first.spent(true))
                .brew()
                .drawn()
                .get(ExtractClass.BODY);
        assertThat(again / once).as("to a hundredth").isBetween(0.195, 0.335);
    }

    @Test
    void biteComesLaterThanBody() {
        Addition tea = dried("black-tea", Cut.CHOPPED, 4, Unit.GRAM, 0);
        BrewPlan early = cup(tea, pour(), steep(3), strain());
        BrewPlan late = cup(tea, pour(), steep(15), strain());
        double bodyGrows = share(late, ExtractClass.BODY) / share(early, ExtractClass.BODY);
        double biteGrows = share(late, ExtractClass.BITE) / share(early, ExtractClass.BITE);
        assertThat(biteGrows).isGreaterThan(bodyGrows);
    }

    @Test
    void aCrowdedPotGivesLessForEachGram() {
        BrewPlan thin = cup(dried("nettle", Cut.CHOPPED, 3, Unit.GRAM, 0), pour(), steep(60), strain());
        BrewPlan thick = cup(dried("nettle", Cut.CHOPPED, 30, Unit.GRAM, 0), pour(), steep(60), strain());
        assertThat(share(thick, ExtractClass.BODY)).isLessThan(share(thin, ExtractClass.BODY));
        assertThat(thick.brew().drawn().get(ExtractClass.BODY))
                .isGreaterThan(thin.brew().drawn().get(ExtractClass.BODY));
    }

    @Test
    void vitaminCIsKeptByCoolerWater() {
        Addition hips = dried("rosehip", Cut.CRUSHED, 6, Unit.GRAM, 0);
        double boiled = share(cup(hips, boil(40, false), strain()), ExtractClass.VITAMIN_C);
        double poured =
                share(cup(hips, new Stage.Pour(OptionalDouble.of(85)), steep(30), strain()), ExtractClass.VITAMIN_C);
        assertThat(poured).isGreaterThan(boiled);
    }

    @Test
    void freshMaterialGivesFasterThanDried() {
        BrewPlan fresh = cup(fresh("lemon-balm", Cut.CHOPPED, 16, Unit.GRAM, 0), pour(), steep(4), strain());
        BrewPlan dried = cup(dried("lemon-balm", Cut.CHOPPED, 3, Unit.GRAM, 0), pour(), steep(4), strain());
        assertThat(share(fresh, ExtractClass.BODY)).isGreaterThan(share(dried, ExtractClass.BODY));
    }

    @Test
    void aSecondBoilTakesWhatTheFirstOneLeft() {
        List<Addition> root = List.of(dried("astragalus", Cut.SLICED, 15, Unit.GRAM, 0));
        BrewPlan once = plan(withPour(recipe(Tradition.CHINESE, 1, 240, root, simmer(20, true), strain()), 300));
        BrewPlan twice = plan(withPour(
                recipe(
                        Tradition.CHINESE,
                        2,
                        240,
                        root,
                        simmer(20, true),
                        strain(),
                        new Stage.Refill(300),
                        simmer(20, true),
                        strain(),
                        new Stage.Combine()),
                300));
        assertThat(share(twice, ExtractClass.BODY)).isGreaterThan(share(once, ExtractClass.BODY) * 1.1);
        assertThat(twice.brew().leftInHerbs().get(0).get(ExtractClass.BODY))
                .isLessThan(once.brew().leftInHerbs().get(0).get(ExtractClass.BODY));
        assertThat(share(twice, ExtractClass.BODY)).isLessThan(1);
    }

    @Test
    void aNightInColdWaterDrawsTheSilkButLittleBite() {
        BrewPlan night = cup(dried("marshmallow", Cut.CHOPPED, 6, Unit.GRAM, 0), macerate(480), strain());
        assertThat(share(night, ExtractClass.MUCILAGE)).isGreaterThan(0.8);
        assertThat(share(night, ExtractClass.BITE)).isLessThan(0.5);
    }

    @Test
    void whatGoesIntoTheCupIsNotSteepedAndKeepsNoWater() {
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                2,
                200,
                List.of(dried("linden", Cut.CHOPPED, 3, Unit.GRAM, 0), fresh("honey", Cut.WHOLE, 2, Unit.TEASPOON, 3)),
                pour(),
                steep(10),
                strain(),
                new Stage.Finish()));
        assertThat(plan.additions().get(1).perCup()).isTrue();
        assertThat(plan.water().retainedMl()).isCloseTo(3 * 4.5, within(1e-6));
        assertThat(plan.brew().leftInHerbs()).hasSize(1);
    }

    @Test
    void aLongerHoldOnAHighFlameLosesMoreWaterThanOnALowOne() {
        Addition root = dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0);
        double low = cup(root, new Stage.Simmer(20, Flame.LOW, false), strain())
                .water()
                .evaporatedMl();
        double high = cup(root, new Stage.Boil(20, Flame.HIGH, false), strain())
                .water()
                .evaporatedMl();
        assertThat(high).isGreaterThan(3 * low);
    }
}
