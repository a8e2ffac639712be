package embercup.core.brew;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.boil;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.heat;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.strain;
import static embercup.core.Pots.withPour;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.materia.Cut;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A lid saves the heat of what condenses under it and nothing else: energy is conserved, lid on or off. */
class CoveredPotTest {

    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 18, 10);

    /** Steam, g/min, after the boil, from the simulated pot step by step. */
    private static double steamGPerMin(double watts, boolean lid, Vessel vessel) {
        SimulatedPot pot = new SimulatedPot(vessel, 20, 100);
        pot.pourIn(2200, 99.99);
        pot.advance(60, 3000, true);
        pot.advance(60, watts, lid);
        double before = pot.waterMl();
        pot.advance(600, watts, lid);
        return (before - pot.waterMl()) / 10;
    }

    /** What the flame gives is in the steam or through lid and wall, at every power (IAPWS-IF97 for the latent heat). */
    @ParameterizedTest
    @CsvSource({"250", "400", "700", "1100", "1200", "2000"})
    void whatTheFlameGivesIsAccountedFor(double watts) {
        double latent = Water.latentHeatJPerG(100);
        double open = steamGPerMin(watts, false, POT);
        double covered = steamGPerMin(watts, true, POT);
        assertThat(open * latent / 60).as("open: all of it is steam").isCloseTo(watts, within(watts * 0.01));
        double through = watts - covered * latent / 60;
        assertThat(through)
                .as("covered: the rest goes through lid and wall, 1.2–2.2 W/K of 80 K")
                .isBetween(80 * 1.2, 80 * 2.4);
    }

    /**
     * A kilowatt into boiling water makes 26.6 g of steam a minute (1000 W ÷ 2256.5 J/g, IAPWS-IF97). A gentle simmer of 4–10 g/min loses
     * about a fifth to a half of that under its lid (common practice, no source), a hard boil at 2 kW nearly all of it, because a pot of
     * 16–20 cm gives 1.5–2 W/K to the room (estimate of a wall and lid at 100 °C with 20 W/(m²·K): convection and radiation).
     */
    @Test
    void theLidStandsAgainstPublishedFigures() {
        assertThat(steamGPerMin(1000, false, POT)).isCloseTo(26.6, within(0.2));
        assertThat(steamGPerMin(250, true, POT) / steamGPerMin(250, false, POT)).isBetween(0.2, 0.5);
        assertThat(steamGPerMin(2000, true, POT) / steamGPerMin(2000, false, POT))
                .isBetween(0.9, 0.97);
        double lossW = Losses.condensingW(POT, true, 100, 20);
        assertThat(lossW).isBetween(100.0, 200.0);
    }

    private static Recipe burdock(double cups, double cupMl, Stage... stages) {
        return recipe(Tradition.FOLK, cups, cupMl, List.of(dried("burdock", Cut.SLICED, 5, Unit.GRAM, 0)), stages);
    }

    private static PlanRequest on(Recipe recipe, double watts) {
        Kitchen kitchen = new Kitchen(0, 20, 15, Optional.of(POT), new Burner("burner", watts, watts, 1200), 2000);
        return PlanRequest.asWritten(recipe).withKitchen(kitchen);
    }

    /** Half a litre on 1 100 W is dry in twenty minutes, lid or no lid. */
    @Test
    void aCoveredHardBoilRunsDryWhenItsWaterIsGone() {
        Recipe hour = withPour(burdock(1, 240, heat(), boil(60, true), strain()), 500);
        BrewPlan plan = PLANNER.plan(on(hour, 1100));
        assertThat(plan.notes()).anyMatch(Caution.BoilsDry.class::isInstance);
        assertThat(PLANNER.plan(on(withPour(hour, 2000), 1100)).notes()).noneMatch(Caution.BoilsDry.class::isInstance);
    }

    @Test
    void aBoilThatLeavesAFilmSaysSo() {
        Recipe low = withPour(burdock(1, 100, heat(), boil(14, true), strain()), 500);
        assertThat(PLANNER.plan(on(low, 1100)).notes()).anyMatch(Caution.RunsLow.class::isInstance);
    }

    /** The practitioner's "covered" that takes far longer than the open pot is told with both times. */
    @Test
    void aReductionUnderALidIsToldWithWhatItCosts() {
        Recipe covered = withPour(burdock(2, 240, heat(), new Stage.Reduce(480, Flame.MEDIUM, true), strain()), 960);
        BrewPlan plan = PLANNER.plan(on(covered, 300));
        Caution.ReducesCovered told = plan.notes().stream()
                .filter(Caution.ReducesCovered.class::isInstance)
                .map(Caution.ReducesCovered.class::cast)
                .findFirst()
                .orElseThrow();
        Recipe open = covered.withStages(List.of(heat(), new Stage.Reduce(480, Flame.MEDIUM, false), strain()));
        double openMin = PLANNER.plan(on(open, 300)).stages().get(1).properS() / 60;
        assertThat(told.openMinutes()).isCloseTo(openMin, within(openMin * 0.05 + 1));
        assertThat(told.minutes() / told.openMinutes()).isBetween(1.5, 2.5);
        assertThat(MATERIA.find("burdock")).isPresent();
    }

    /**
     * Energy of a covered pot, all in all: the household hob test heats water from 15 to 90 °C under a lid and holds it for 20 min; the EU
     * allows 195 Wh of electricity for a kilogram (Commission Regulation (EU) No 66/2014, test of EN 60350-2; from memory). With a usual
     * hob's efficiency of 70–75 % the same pot here stays below that, and above what the water alone takes up.
     */
    @Test
    void aCoveredPotTakesTheEnergyOfTheHobTest() {
        double kilograms = 1.5;
        double capacity = kilograms * 1000 * Water.SPECIFIC_HEAT_J_PER_G_K + POT.wallJPerK();
        Losses.State covered = new Losses.State(POT, kilograms * 1000, true, true);
        Air air = Air.of(Kitchen.STANDARD);
        double heats = Way.of(covered, air, 1200, capacity, 15, 90, Double.POSITIVE_INFINITY)
                        .seconds()
                * 1200;
        double holds = Losses.watts(covered, air, 90) * 20 * 60;
        double waterAlone = 75 * Water.SPECIFIC_HEAT_J_PER_G_K / 3.6;
        double perKg = (heats + holds) / 3600 / kilograms;
        assertThat(perKg / 0.75).isLessThan(195);
        assertThat(perKg / 0.70).isGreaterThan(waterAlone / 0.70).isBetween(140.0, 195.0);
    }
}
