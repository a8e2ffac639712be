package embercup.core.brew;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.brew.Measurements.Turned;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.junit.jupiter.api.Test;

/**
 * Outside check of what a hand turns in the middle of a stage: temperature and water integrated together with Dormand–Prince
 * (Hipparchus), with the heat capacity of the water that is really left. The closed forms hold the capacity within a spell,
 * which is worth one percent.
 */
class TurnedAgainstHipparchusTest {

    private static final double ONE_PERCENT = 0.01;
    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 18, 10);
    private static final double BOIL = Kitchen.STANDARD.boilingC();
    private static final double ROOM = Kitchen.STANDARD.roomC();
    private static final Air AIR = Air.of(Kitchen.STANDARD);

    /** Temperature and water, and the clock. */
    private record State(double tempC, double waterMl, double atS) {}

    private static BrewResult run(double pourMl, List<Stage> stages, Turned... turns) {
        return run(pourMl, stages, new Measurements(Map.of(), Map.of(), List.of(), Arrays.asList(turns)));
    }

    private static BrewResult run(double pourMl, List<Stage> stages, Measurements measured) {
        return BrewSimulation.run(
                new BrewSetup(
                        Kitchen.STANDARD,
                        POT,
                        MATERIA.extraction(),
                        stages,
                        List.of(),
                        new BrewSetup.Cups(2, 240),
                        1,
                        pourMl),
                measured);
    }

    private static Stage heat() {
        return new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true);
    }

    /** dT/dt and dm/dt below the boil. */
    private static double[] warming(double[] y, double watts, boolean lid) {
        Losses.State state = new Losses.State(POT, y[1], lid, watts > 0);
        double capacity = y[1] * Water.SPECIFIC_HEAT_J_PER_G_K + POT.wallJPerK();
        double steam = Losses.steamW(state, AIR, y[0]) / Water.latentHeatJPerG(y[0]);
        return new double[] {(watts - Losses.watts(state, AIR, y[0])) / capacity, -steam};
    }

    /** On a flame or off it until the boil, or until the time is over. */
    private static State warm(State from, double seconds, double watts, boolean lid) {
        ODEStateAndDerivative to = Integrated.until(
                new double[] {from.tempC, from.waterMl},
                seconds,
                y -> warming(y, watts, lid),
                Integrated.when(y -> y[0] - BOIL));
        return new State(to.getPrimaryState()[0], to.getPrimaryState()[1], from.atS + to.getTime());
    }

    /** Energy at the boil: what the flame gives is lost through lid and wall, or leaves as steam, g/s. */
    private static double steam(double watts, boolean lid) {
        double through = lid ? Losses.wattsPerKelvin(POT, 0, true, true) * (BOIL - ROOM) : 0;
        return Math.max(0, watts - through) / Water.latentHeatJPerG(BOIL);
    }

    /** At the boil until so much is left, or until the time is over. */
    private static State boil(State from, double seconds, double watts, boolean lid, double toMl) {
        double rate = steam(watts, lid);
        ODEStateAndDerivative to = Integrated.until(
                new double[] {from.waterMl}, seconds, y -> new double[] {-rate}, Integrated.when(y -> y[0] - toMl));
        return new State(BOIL, to.getPrimaryState()[0], from.atS + to.getTime());
    }

    @Test
    void aLidLiftedForTwoMinutesOfHeatingDelaysTheBoilAsMuchAsTheIntegratorSays() {
        State open = warm(warm(new State(15, 700, 0), 60, 1200, true), 120, 1200, false);
        State boils = warm(open, 3600, 1200, true);
        BrewResult real = run(700, List.of(heat()), new Turned(0, 60, Turn.LID_OFF), new Turned(0, 180, Turn.LID_ON));
        assertThat(real.totalS()).isCloseTo(boils.atS, within(boils.atS * ONE_PERCENT));
        assertThat(real.evaporatedMl()).isCloseTo(700 - boils.waterMl, within(0.5));
        assertThat(real.totalS()).isGreaterThan(run(700, List.of(heat())).totalS());
    }

    @Test
    void aReductionWhoseFlameGoesOutAndComesBackEndsWhenTheIntegratorSays() {
        State before = boil(new State(BOIL, 800, 0), 300, 700, false, 0);
        State out = warm(before, 400, 0, false);
        State again = warm(out, 3600, 1200, false);
        State done = boil(again, 7200, 1200, false, 500);
        BrewResult real = run(
                800,
                List.of(heat(), new Stage.Reduce(500, Flame.MEDIUM, false)),
                new Turned(1, 300, Turn.FLAME_OFF),
                new Turned(1, 700, Turn.FLAME_HIGH));
        assertThat(real.stages().get(1).properS()).isCloseTo(done.atS, within(done.atS * ONE_PERCENT));
        assertThat(real.curve()).anySatisfy(p -> assertThat(p.tempC())
                .as("it cooled meanwhile to what the integrator says")
                .isCloseTo(out.tempC, within(1.0)));
    }

    @Test
    void aReductionUnderALidHalfWayTakesTheTimeOfTheIntegrator() {
        State half = boil(new State(BOIL, 700, 0), 200, 700, false, 0);
        State done = boil(half, 36_000, 700, true, 500);
        BrewResult real =
                run(700, List.of(heat(), new Stage.Reduce(500, Flame.MEDIUM, false)), new Turned(1, 200, Turn.LID_ON));
        assertThat(real.stages().get(1).properS()).isCloseTo(done.atS, within(done.atS * ONE_PERCENT));
    }

    @Test
    void anUncoveredPotThatRestsCoolsAsTheIntegratorSays() {
        State covered = warm(new State(BOIL - 0.01, 600, 0), 120, 0, true);
        State open = warm(covered, 480, 0, false);
        BrewResult real = run(600, List.of(heat(), new Stage.Rest(10, true)), new Turned(1, 120, Turn.LID_OFF));
        assertThat(real.stages().get(1).endC()).isCloseTo(open.tempC, within(0.7));
        assertThat(real.evaporatedMl()).isCloseTo(600 - open.waterMl, within(1.0));
    }

    /** A volume read on the way tells the pace, whatever was turned before it. */
    @Test
    void aVolumeReadAfterATurnCorrectsTheStoveAndNotTheTurn() {
        double rate = steam(700, false);
        double real = 0.8;
        double read = 800 - 300 * rate * real - 300 * steam(700, true) * real;
        Measurements measured = new Measurements(
                Map.of(),
                Map.of(),
                List.of(new Measurements.Reading(1, 600, Measurements.Kind.VOLUME_ML, read)),
                List.of(new Turned(1, 300, Turn.LID_ON), new Turned(1, 600, Turn.LID_OFF)));
        List<Stage> stages = new ArrayList<>(List.of(heat(), new Stage.Reduce(500, Flame.MEDIUM, false)));
        BrewResult run = run(800, stages, measured);
        double left = (read - 500) / (rate * real);
        assertThat(run.stages().get(1).properS()).isCloseTo(600 + left, within((600 + left) * ONE_PERCENT));
    }
}
