package embercup.core.plan;

import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.kind;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.plan;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.twoBoils;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One cook, two hands: what is done when, and what is said. */
class TimelineTest {

    private static Step step(BrewPlan plan, String key) {
        return plan.steps().stream().filter(s -> s.id().equals(key)).findFirst().orElseThrow();
    }

    private static Recipe infusion(List<Addition> herbs) {
        return recipe(Tradition.FOLK, 4, 240, herbs, pour(), steep(10), strain());
    }

    @Test
    void rootsForColdWaterAreMeasuredBeforeTheFlameIsLit() {
        BrewPlan plan = plan(rootPot());
        double lit = step(plan, "s0").startS();
        assertThat(step(plan, "prep.0").endS()).isLessThanOrEqualTo(lit);
        assertThat(step(plan, "prep.1").endS()).isLessThanOrEqualTo(lit);
        assertThat(plan.stageStartS()).isEqualTo(lit);
    }

    @Test
    void flowersAreMeasuredWhileTheKettleHeats() {
        BrewPlan plan = plan(infusion(List.of(dried("linden", Cut.CHOPPED, 4, Unit.GRAM, 0))));
        Step kettle = step(plan, "s0.heat");
        Step measure = step(plan, "prep.0");
        assertThat(measure.startS()).isGreaterThanOrEqualTo(kettle.startS());
        assertThat(measure.endS()).isLessThanOrEqualTo(kettle.endS());
        assertThat(plan.stageStartS()).isZero();
    }

    @Test
    void whatDoesNotFitIntoTheWaitingComesBeforeIt() {
        List<Addition> manySeeds = List.of(
                dried("fennel", Cut.CRUSHED, 2, Unit.GRAM, 0),
                dried("caraway", Cut.CRUSHED, 2, Unit.GRAM, 0),
                dried("anise", Cut.CRUSHED, 2, Unit.GRAM, 0),
                dried("coriander", Cut.CRUSHED, 2, Unit.GRAM, 0));
        BrewPlan plan = plan(recipe(Tradition.FOLK, 1, 200, manySeeds, pour(), steep(10), strain()));
        assertThat(plan.stageStartS()).isPositive();
        double pour = step(plan, "s0").startS();
        for (int i = 0; i < 4; i++) {
            assertThat(step(plan, "prep." + i).endS()).isLessThanOrEqualTo(pour + 1e-6);
        }
    }

    @Test
    void peelForTheEndIsMeasuredWhileThePotSimmers() {
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(
                        dried("dandelion", Cut.SLICED, 6, Unit.GRAM, 0),
                        dried("orange-peel", Cut.CHOPPED, 2, Unit.GRAM, 2)),
                heat(),
                simmer(20, true),
                new Stage.Rest(5, true),
                strain()));
        Step peel = step(plan, "prep.1");
        assertThat(peel.startS()).isGreaterThanOrEqualTo(plan.stageStartS());
        assertThat(peel.endS()).isLessThanOrEqualTo(step(plan, "s2").startS());
        assertThat(WORDS.confirm(plan, step(plan, "s1"))).isEqualTo("Orange peel in, flame off");
    }

    /** Crushed garlic rests ten minutes before heat: common practice, no source. */
    @Test
    void crushedGarlicStartsFirstBecauseItRests() {
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(fresh("ginger", Cut.SLICED, 6, Unit.GRAM, 0), fresh("garlic", Cut.CRUSHED, 2, Unit.CLOVE, 0)),
                heat(),
                simmer(10, true),
                strain()));
        Step garlic = step(plan, "prep.1");
        assertThat(garlic.startS()).isZero();
        assertThat(step(plan, "s0").startS() - garlic.endS()).isGreaterThanOrEqualTo(600 - 1e-6);
        assertThat(WORDS.label(plan, garlic)).contains("let it rest 10 min");
    }

    @Test
    void aBoilFromColdWaterSaysItHasToBoilFirst() {
        BrewPlan plan = plan(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                boil(5, false),
                strain()));
        assertThat(WORDS.until(plan, step(plan, "s0.heat"))).isEqualTo("until it boils");
        assertThat(WORDS.confirm(plan, step(plan, "s0.heat"))).isEqualTo("It has boiled");
        assertThat(step(plan, "s0").durationS()).isCloseTo(300, within(1e-6));
        assertThat(WORDS.label(plan, step(plan, "s0"))).startsWith("Boil 5 min");
    }

    @Test
    void aReductionEndsAtAMarkThatAWoodenSpoonCanMeasure() {
        BrewPlan plan = plan(recipe(
                Tradition.AYURVEDIC,
                2,
                240,
                List.of(dried("ginger", Cut.CHOPPED, 4, Unit.GRAM, 0)),
                heat(),
                reduce(480),
                strain()));
        Step down = step(plan, "s1");
        double fromRim = plan.vessel().fromRimCm(plan.water().dipMl());
        assertThat(WORDS.until(plan, down)).contains("%.1f cm from the rim".formatted(fromRim));
        // The mark stands above the wanted liquor by what the herbs hold and displace.
        assertThat(plan.water().dipMl()).isGreaterThan(480 + plan.water().retainedMl());
        assertThat(plan.water().yieldMl()).isCloseTo(480, within(0.5));
    }

    @Test
    void twoBoilsAreStrainedRefilledStrainedAndCombined() {
        List<String> kinds = plan(twoBoils()).steps().stream()
                .filter(s -> s.stage() >= 0)
                .map(embercup.core.Pots::kind)
                .toList();
        assertThat(kinds).containsExactly("heat", "simmer", "strain", "refill", "heat", "simmer", "strain", "combine");
    }

    @Test
    void readyAtAndStartAtAreTheSameWayBackAndForth() {
        BrewPlan plan = plan(lindenCup());
        Instant supper = Instant.parse("2026-11-25T21:05:00Z");
        assertThat(plan.readyFrom(plan.startFor(supper))).isEqualTo(supper);
    }

    @Test
    void handsAreNeededForPouringAndStrainingButNotForWaiting() {
        assertThat(plan(lindenCup()).steps()).allSatisfy(s -> assertThat(s.handsOn())
                .as(s.id())
                .isEqualTo(List.of("prep", "pour", "strain").contains(kind(s))));
    }

    @Test
    void everyStepSaysWhatIsConfirmedWhenItIsDone() {
        for (Recipe pot : List.of(lindenCup(), rootPot(), twoBoils())) {
            BrewPlan plan = plan(pot);
            assertThat(plan.steps())
                    .allSatisfy(s -> assertThat(WORDS.confirm(plan, s)).isNotBlank());
        }
    }

    @Test
    void moreCupsTakeLongerToBoilDown() {
        Recipe pot = recipe(
                Tradition.AYURVEDIC,
                2,
                240,
                List.of(dried("ginger", Cut.CHOPPED, 2, Unit.GRAM, 0)),
                heat(),
                reduce(480),
                strain());
        PlanRequest two = PlanRequest.asWritten(pot);
        double forTwo = embercup.core.Pots.PLANNER.plan(two).stages().get(1).properS();
        double forFour =
                embercup.core.Pots.PLANNER.plan(two.withCups(4)).stages().get(1).properS();
        assertThat(forFour).isCloseTo(2 * forTwo, within(forTwo * 0.05));
    }

    @Test
    void aPotForFourSimmersAsLongAsAPotForTwoAndLosesTheSameWater() {
        PlanRequest two = PlanRequest.asWritten(rootPot())
                .withKitchen(embercup.core.kitchen.Kitchen.STANDARD.withVessel(
                        embercup.core.kitchen.Vessel.of("pot", embercup.core.kitchen.Vessel.Kind.POT, 20, 14)));
        var small = embercup.core.Pots.PLANNER.plan(two).stages().get(1);
        var large = embercup.core.Pots.PLANNER.plan(two.withCups(4)).stages().get(1);
        assertThat(large.properS()).isCloseTo(small.properS(), within(1e-6));
        assertThat(large.startMl() - large.endMl()).isCloseTo(small.startMl() - small.endMl(), within(0.5));
    }
}
