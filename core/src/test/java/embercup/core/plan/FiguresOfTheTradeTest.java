package embercup.core.plan;

import static embercup.core.Pots.US_CUP_ML;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Figures every kitchen knows: common practice, no source. The plan must land where the practitioner does. */
class FiguresOfTheTradeTest {

    private static double minutesOf(BrewPlan plan, StageKind kind) {
        return plan.stages().stream()
                .filter(s -> s.stage().kind() == kind)
                .mapToDouble(s -> s.properS() / 60)
                .sum();
    }

    @Test
    void threeCupsBoilDownToTwoInTenToFifteenMinutes() {
        Recipe pot = withPour(
                recipe(
                        Tradition.AYURVEDIC,
                        2,
                        US_CUP_ML,
                        List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                        heat(),
                        reduce(2 * US_CUP_ML),
                        strain()),
                3 * US_CUP_ML);
        BrewPlan plan = plan(pot);
        assertThat(minutesOf(plan, StageKind.REDUCE)).isBetween(10.0, 15.0);
        assertThat(plan.water().yieldMl()).isBetween(2 * US_CUP_ML - 1, 2 * US_CUP_ML + 1);
    }

    /** A day's formula of 75 g, each herb inside the daily range of the Chinese Pharmacopoeia (mem). */
    @Test
    void twoBoilsOfFortyMinutesTakeSixCupsToThree() {
        Recipe formula = twoBoils()
                .withAdditions(List.of(
                        dried("astragalus", Cut.SLICED, 20, Unit.GRAM, 0),
                        dried("codonopsis", Cut.SLICED, 15, Unit.GRAM, 0),
                        dried("poria", Cut.CHOPPED, 12, Unit.GRAM, 0),
                        dried("white-peony", Cut.SLICED, 10, Unit.GRAM, 0),
                        dried("jujube", Cut.SLICED, 12, Unit.GRAM, 0),
                        dried("liquorice", Cut.SLICED, 6, Unit.GRAM, 0)));
        BrewPlan plan = plan(withPour(formula, 3 * US_CUP_ML));
        assertThat(plan.water().pourMl() / US_CUP_ML).isBetween(5.99, 6.01);
        assertThat(plan.water().yieldMl() / US_CUP_ML).isBetween(2.5, 3.5);
    }

    @Test
    void aPotOfFreshRhizomeIsReadyInAboutThreeQuartersOfAnHour() {
        Recipe pot = recipe(
                Tradition.FOLK,
                8,
                US_CUP_ML,
                List.of(fresh("ginger", Cut.SLICED, 4, Unit.OUNCE, 0)),
                heat(),
                boil(3, false),
                simmer(35, true),
                strain());
        BrewPlan plan = plan(pot);
        assertThat(plan.totalS() / 60).isBetween(45.0, 65.0);
        assertThat(plan.brew().share(ExtractClass.BODY)).isGreaterThan(0.6);
    }

    @Test
    void aQuartJarOfTenderPartsKeepsItsInchAndHasGivenAfterThreeQuartersOfAnHour() {
        Recipe jar = recipe(
                Tradition.FOLK,
                4,
                200,
                List.of(dried("nettle", Cut.CHOPPED, 5, Unit.TABLESPOON, 0)),
                pour(),
                steep(45),
                strain());
        assertThat(plan(jar).brew().share(ExtractClass.BODY)).isGreaterThan(0.75);
    }

    @Test
    void ordinaryCoveredInfusionOfFlowersIsDoneInTenMinutes() {
        BrewPlan ten = plan(embercup.core.Pots.lindenCup());
        BrewPlan thirty = plan(embercup.core.Pots.lindenCup().withStages(List.of(pour(), steep(30), strain())));
        assertThat(ten.brew().share(ExtractClass.BODY))
                .isGreaterThan(0.7 * thirty.brew().share(ExtractClass.BODY));
    }

    @Test
    void boilAndRestOfSeedsGivesMoreThanTheBoilAlone() {
        List<embercup.core.recipe.Addition> seeds = List.of(dried("caraway", Cut.CRUSHED, 2, Unit.TABLESPOON, 0));
        Recipe boiled = recipe(Tradition.FOLK, 2, US_CUP_ML, seeds, boil(3, false), strain());
        Recipe rested = recipe(Tradition.FOLK, 2, US_CUP_ML, seeds, boil(3, false), new Stage.Rest(5, true), strain());
        assertThat(plan(rested).brew().share(ExtractClass.BODY))
                .isGreaterThan(plan(boiled).brew().share(ExtractClass.BODY));
    }

    @Test
    void leavesBoiledToDeathLoseTheirAromaAndGainBite() {
        List<embercup.core.recipe.Addition> mint = List.of(dried("peppermint", Cut.CHOPPED, 4, Unit.GRAM, 0));
        BrewPlan poured = plan(recipe(Tradition.FOLK, 2, 200, mint, pour(), steep(10), strain()));
        BrewPlan boiled = plan(recipe(Tradition.FOLK, 2, 200, mint, boil(30, false), strain()));
        assertThat(boiled.aroma()).isLessThan(poured.aroma());
        assertThat(boiled.bite()).isGreaterThan(poured.bite());
    }

    @Test
    void marshmallowGivesItsMucilageToColdWaterAndLosesItToABoil() {
        List<embercup.core.recipe.Addition> root = List.of(dried("marshmallow", Cut.CHOPPED, 6, Unit.GRAM, 0));
        BrewPlan cold = plan(recipe(Tradition.MONOGRAPH, 2, 200, root, embercup.core.Pots.macerate(480), strain()));
        BrewPlan boiled = plan(recipe(Tradition.MONOGRAPH, 2, 200, root, boil(30, false), strain()));
        assertThat(cold.brew().share(ExtractClass.MUCILAGE))
                .isGreaterThan(boiled.brew().share(ExtractClass.MUCILAGE));
    }

    @Test
    void honeyWaitsLongerThanTheFirstSip() {
        BrewPlan plan = plan(embercup.core.Pots.lindenCup());
        assertThat(plan.brew().cup().drinkableAfterS().orElseThrow() / 60).isLessThan(16.0);
        assertThat(plan.brew().cup().honeyAfterS().orElseThrow() / 60).isBetween(15.0, 45.0);
    }
}
