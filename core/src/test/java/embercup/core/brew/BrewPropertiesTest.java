package embercup.core.brew;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Kitchen;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Prediction;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for any pot. The recipes are random but the same in every run: the seed is the number of the case. */
class BrewPropertiesTest {

    static IntStream seeds() {
        return IntStream.range(0, 120);
    }

    private static final List<Herb> BREWED = MATERIA.herbs().stream()
            .filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY)
            .toList();

    private static Recipe any(Random random) {
        List<Stage> stages = new ArrayList<>();
        switch (random.nextInt(5)) {
            case 0 -> {
                stages.add(new Stage.Pour(OptionalDouble.empty()));
                stages.add(new Stage.Steep(2 + random.nextInt(40), random.nextBoolean()));
            }
            case 1 -> {
                stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, random.nextBoolean()));
                stages.add(new Stage.Simmer(5 + random.nextInt(50), Flame.LOW, random.nextBoolean()));
                stages.add(new Stage.Rest(1 + random.nextInt(10), true));
            }
            case 2 -> stages.add(new Stage.Macerate(30 + random.nextInt(900), OptionalDouble.empty(), true));
            case 3 -> stages.add(new Stage.Boil(1 + random.nextInt(15), Flame.MEDIUM, random.nextBoolean()));
            default -> {
                stages.add(new Stage.Simmer(10 + random.nextInt(40), Flame.LOW, true));
                stages.add(new Stage.Strain(false));
                stages.add(new Stage.Refill(300 + random.nextInt(500)));
                stages.add(new Stage.Simmer(10 + random.nextInt(40), Flame.LOW, true));
            }
        }
        stages.add(new Stage.Strain(random.nextBoolean()));
        if (stages.size() > 4 && random.nextBoolean()) {
            stages.add(new Stage.Combine());
        }
        List<Addition> herbs = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            Herb herb = BREWED.get(random.nextInt(BREWED.size()));
            herbs.add(new Addition(
                    herb.slug(),
                    random.nextInt(4) == 0 ? Form.FRESH : Form.DRIED,
                    Cut.values()[random.nextInt(Cut.values().length)],
                    Quantity.of(0.5 + random.nextDouble() * 8, Unit.GRAM),
                    0));
        }
        return new Recipe(
                "any",
                Tradition.FOLK,
                1 + random.nextInt(6),
                150 + random.nextInt(150),
                OptionalDouble.empty(),
                herbs,
                stages);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void waterBalancesAndNothingIsNegative(int seed) {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(any(new Random(seed))));
        var water = plan.water();
        assertThat(water.pourMl()).isCloseTo(water.yieldMl() + water.retainedMl() + water.evaporatedMl(), within(0.05));
        assertThat(water.yieldMl()).isNotNegative();
        assertThat(water.evaporatedMl()).isNotNegative();
        assertThat(plan.curve()).allSatisfy(p -> {
            assertThat(p.waterMl()).isNotNegative();
            assertThat(p.body()).isNotNegative();
            assertThat(p.aroma()).isBetween(0.0, 1.0);
            assertThat(p.bite()).isBetween(0.0, 1.0);
            assertThat(p.tempC()).isBetween(0.0, 100.1);
        });
        assertThat(plan.additions()).allSatisfy(a -> {
            assertThat(a.lowG()).isPositive().isLessThanOrEqualTo(a.grams());
            assertThat(a.highG()).isGreaterThanOrEqualTo(a.grams());
        });
        assertThat(plan.strengthLow()).isLessThanOrEqualTo(plan.strength());
        assertThat(plan.strengthHigh()).isGreaterThanOrEqualTo(plan.strength());
    }

    /** Whatever a hand turns in the middle of a brew, no water is made and nothing gets hotter than the boil. */
    @ParameterizedTest
    @MethodSource("seeds")
    void waterBalancesWhateverAHandTurns(int seed) {
        Random random = new Random(seed);
        Recipe recipe = any(random);
        List<Measurements.Turned> turns = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            turns.add(new Measurements.Turned(
                    random.nextInt(recipe.stages().size()),
                    random.nextDouble() * 1800,
                    Turn.values()[random.nextInt(Turn.values().length)]));
        }
        Measurements measured = new Measurements(Map.of(), Map.of(), List.of(), turns);
        BrewPlan planned = PLANNER.plan(PlanRequest.asWritten(recipe));
        Prediction plan = planned.predict(measured);
        var water = plan.water();
        assertThat(water.pourMl()).isCloseTo(water.yieldMl() + water.retainedMl() + water.evaporatedMl(), within(0.05));
        assertThat(water.yieldMl()).isNotNegative();
        assertThat(plan.totalS()).isFinite().isPositive();
        assertThat(plan.curve()).allSatisfy(p -> {
            assertThat(p.waterMl()).isNotNegative();
            assertThat(p.tempC()).isBetween(0.0, planned.boilingC() + 1e-6);
        });
        for (int i = 1; i < plan.curve().size(); i++) {
            assertThat(plan.curve().get(i).tS())
                    .isGreaterThanOrEqualTo(plan.curve().get(i - 1).tS());
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void noTwoHandsOnStepsOverlapAndTimeNeverRunsBack(int seed) {
        BrewPlan plan = PLANNER.plan(PlanRequest.asWritten(any(new Random(seed))));
        var hands = plan.steps().stream().filter(s -> s.handsOn()).toList();
        for (int i = 1; i < hands.size(); i++) {
            assertThat(hands.get(i).startS())
                    .isGreaterThanOrEqualTo(hands.get(i - 1).endS() - 1e-3);
        }
        assertThat(plan.steps()).allSatisfy(s -> {
            assertThat(s.startS()).isNotNegative();
            assertThat(s.endS()).isLessThanOrEqualTo(plan.totalS() + 1e-6);
        });
        for (int i = 1; i < plan.curve().size(); i++) {
            assertThat(plan.curve().get(i).tS())
                    .isGreaterThanOrEqualTo(plan.curve().get(i - 1).tS());
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void herbsScaleLinearlyAndTheBoilOffDoesNot(int seed) {
        Recipe recipe = any(new Random(seed));
        PlanRequest one =
                PlanRequest.asWritten(recipe).withKitchen(Kitchen.STANDARD.withVessel(Kitchen.USUAL_POTS.get(3)));
        BrewPlan small = PLANNER.plan(one);
        BrewPlan large = PLANNER.plan(one.withCups(recipe.cups() * 3));
        for (int i = 0; i < small.additions().size(); i++) {
            boolean clipped = small.notes().stream().anyMatch(n -> n.code().equals("dose-clipped"))
                    || large.notes().stream().anyMatch(n -> n.code().equals("dose-clipped"));
            if (!clipped) {
                assertThat(large.additions().get(i).grams())
                        .isCloseTo(3 * small.additions().get(i).grams(), within(1e-6));
            }
        }
        assertThat(large.water().evaporatedMl()).isLessThan(3 * small.water().evaporatedMl() + 0.1);
    }

    private static double body(Cut cut, double celsius, double minutes) {
        Recipe r = new Recipe(
                "one",
                Tradition.FOLK,
                1,
                240,
                OptionalDouble.of(300),
                List.of(new Addition("dandelion", Form.DRIED, cut, Quantity.of(3, Unit.GRAM), 0)),
                List.of(
                        new Stage.Pour(OptionalDouble.of(celsius)),
                        new Stage.Steep(minutes, true),
                        new Stage.Strain(false)));
        return PLANNER.plan(PlanRequest.asWritten(r)).brew().drawn().get(embercup.core.materia.ExtractClass.BODY);
    }

    @Test
    void hotterFinerOrLongerNeverGivesLess() {
        for (int celsius = 40; celsius < 96; celsius += 8) {
            assertThat(body(Cut.CHOPPED, celsius + 8 > 99 ? 99 : celsius + 8, 10))
                    .isGreaterThanOrEqualTo(body(Cut.CHOPPED, celsius, 10));
        }
        Cut[] finer = {Cut.WHOLE, Cut.SLICED, Cut.BRUISED, Cut.CHOPPED, Cut.CRUSHED, Cut.GRATED, Cut.GROUND};
        for (int i = 1; i < finer.length - 1; i++) {
            assertThat(body(finer[i], 90, 10)).isGreaterThanOrEqualTo(body(finer[i - 1], 90, 10));
        }
        for (int minutes = 2; minutes < 60; minutes *= 2) {
            assertThat(body(Cut.CHOPPED, 90, minutes * 2)).isGreaterThanOrEqualTo(body(Cut.CHOPPED, 90, minutes));
        }
    }
}
