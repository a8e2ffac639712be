package embercup.core.plan;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.reduce;
import static embercup.core.Pots.simmer;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.live.SimulatedKitchen;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Milk and juice are as thin as water and count as much: two cups with a cup of milk want a cup of water. */
class MilkInThePotTest {

    private static Recipe spiced(String liquid, double millilitres, Stage... stages) {
        Addition milk = fresh(liquid, Cut.WHOLE, millilitres, Unit.MILLILITRE, 0);
        return recipe(Tradition.FOLK, 2, 240, List.of(dried("cardamom", Cut.CRUSHED, 2, Unit.GRAM, 0), milk), stages);
    }

    private static BrewPlan plan(Recipe recipe) {
        return PLANNER.plan(PlanRequest.asWritten(recipe));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "milk",
                "oat-milk",
                "almond-milk",
                "coconut-milk",
                "lemon-juice",
                "lime-juice",
                "orange-juice",
                "apple-juice",
                "pineapple-juice"
            })
    void aLiquidStandsInForAsMuchWater(String liquid) {
        BrewPlan without = plan(recipe(
                Tradition.FOLK,
                2,
                240,
                List.of(dried("cardamom", Cut.CRUSHED, 2, Unit.GRAM, 0)),
                heat(),
                simmer(10, true),
                strain()));
        BrewPlan with = plan(spiced(liquid, 200, heat(), simmer(10, true), strain()));
        WaterPlan water = with.water();
        assertThat(water.broughtMl()).as("200 mL are 200 mL").isCloseTo(200, within(0.5));
        assertThat(without.water().pourMl() - water.pourMl()).isCloseTo(200, within(3.0));
        assertThat(water.yieldMl()).isCloseTo(480, within(0.1));
        assertThat(water.retainedMl())
                .as("none of it is residue")
                .isEqualTo(without.water().retainedMl());
        assertThat(water.pourMl() + water.broughtMl())
                .isCloseTo(water.yieldMl() + water.retainedMl() + water.evaporatedMl(), within(0.01));
    }

    /** All milk: no water is poured, and what comes out is what went in less the steam. */
    @Test
    void aPotOfMilkAloneWantsNoWater() {
        WaterPlan water =
                plan(spiced("milk", 600, heat(), simmer(5, true), strain())).water();
        assertThat(water.pourMl()).isZero();
        assertThat(water.yieldMl()).isCloseTo(600 - water.retainedMl() - water.evaporatedMl(), within(0.5));
    }

    /** A splash has room in the mug; half a cup of it has not, and the cook hears before she pours. */
    @Test
    void whatIsStirredInFillsTheMug() {
        for (double millilitres : new double[] {20, 240}) {
            Recipe recipe = recipe(
                    Tradition.FOLK,
                    2,
                    240,
                    List.of(
                            dried("cardamom", Cut.CRUSHED, 2, Unit.GRAM, 0),
                            fresh("milk", Cut.WHOLE, millilitres, Unit.MILLILITRE, 3)),
                    heat(),
                    simmer(10, true),
                    strain(),
                    new Stage.Finish());
            BrewPlan plan = plan(recipe);
            assertThat(plan.water().broughtMl()).as("none of it is in the pot").isZero();
            assertThat(plan.stirredInMl()).isCloseTo(millilitres, within(0.5));
            assertThat(plan.notes().stream().anyMatch(n -> n instanceof Caution.CupRunsOver))
                    .isEqualTo(millilitres > 100);
        }
    }

    /** Boiled down to a volume it is that volume, milk and water together; the simulated kitchen agrees. */
    @Test
    void milkBoilsDownWithTheWater() {
        BrewPlan plan = plan(withPour(spiced("milk", 300, heat(), reduce(480), strain()), 400));
        assertThat(plan.water().yieldMl()).isCloseTo(480, within(0.5));
        Instant start = Instant.parse("2026-12-02T17:00:00Z");
        Instant later = start.plusSeconds(60);
        LiveBrew live = LiveBrew.fold(
                plan,
                List.of(
                        new BrewEvent.Started(UUID.randomUUID(), start),
                        new BrewEvent.StepDone(UUID.randomUUID(), start.plusSeconds(1), "prep.0", BrewEvent.Sign.PLAN),
                        new BrewEvent.StepDone(
                                UUID.randomUUID(), start.plusSeconds(2), "prep.1", BrewEvent.Sign.PLAN)));
        assertThat(new SimulatedKitchen(1, 9).at(plan, live, later).waterMl())
                .as("water and milk stand in the pot")
                .isCloseTo(700, within(2.0));
    }
}
