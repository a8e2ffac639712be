package embercup.core.brew;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.materia.Cut;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData.ClassConstants;
import embercup.core.materia.Form;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Outside check: the same equations integrated with Dormand–Prince and event detection (Hipparchus). */
class ClosedFormsAgainstHipparchusTest {

    private static final double TENTH_PERCENT = 0.001;
    private static final double TWO_PERCENT = 0.02;
    private static final Air AIR = Air.of(Kitchen.STANDARD);

    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 18, 10);
    private static final Charge ROOT = Charge.of(
            MATERIA,
            MATERIA.herb("dandelion", "herb"),
            Form.DRIED,
            Cut.SLICED,
            12,
            0,
            embercup.core.recipe.Menstruum.WATER);

    private static BrewSetup setup(double pourMl, List<Charge> charges, Stage... stages) {
        return new BrewSetup(
                Kitchen.STANDARD,
                POT,
                MATERIA.extraction(),
                List.of(stages),
                charges,
                new BrewSetup.Cups(2, 240),
                1,
                pourMl);
    }

    private static double capacity(double waterMl, double crowdG) {
        return waterMl * Water.SPECIFIC_HEAT_J_PER_G_K + POT.wallJPerK() + 1.5 * crowdG;
    }

    @Test
    void timeToBoilIsThatOfTheIntegrator() {
        double c = capacity(700, 0);
        Losses.State state = new Losses.State(POT, 700, true, true);
        double tBoil = Kitchen.STANDARD.boilingC();
        var reached = Integrated.until(
                new double[] {15},
                3600,
                y -> new double[] {(1200 - Losses.watts(state, AIR, y[0])) / c},
                Integrated.when(y -> y[0] - tBoil));
        BrewResult run =
                BrewSimulation.run(setup(700, List.of(), new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true)));
        assertThat(run.totalS()).isCloseTo(reached.getTime(), within(reached.getTime() * TENTH_PERCENT));
    }

    @Test
    void aReductionStopsWhenTheIntegratorSaysTheVolumeIsReached() {
        double latent = Water.latentHeatJPerG(Kitchen.STANDARD.boilingC());
        var reached = Integrated.until(
                new double[] {800}, 7200, y -> new double[] {-700 / latent}, Integrated.when(y -> y[0] - 500));
        BrewResult run = BrewSimulation.run(setup(
                800,
                List.of(),
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true),
                new Stage.Reduce(500, Flame.MEDIUM, false)));
        assertThat(run.stages().get(1).properS())
                .isCloseTo(reached.getTime(), within(reached.getTime() * TENTH_PERCENT));
        assertThat(run.evaporatedMl()).isCloseTo(300, within(0.3));
    }

    @Test
    void coolingToAGateTakesTheTimeOfTheIntegrator() {
        Vessel mug = Vessel.mug(240);
        double c = 240 * Water.SPECIFIC_HEAT_J_PER_G_K + mug.wallJPerK();
        Losses.State state = new Losses.State(mug, 240, false, false);
        var reached = Integrated.until(
                new double[] {75},
                7200,
                y -> new double[] {-Losses.watts(state, AIR, y[0]) / c},
                Integrated.when(y -> y[0] - 40));
        double closed =
                Way.of(state, AIR, 0, c, 75, 40, Double.POSITIVE_INFINITY).seconds();
        // Straight lines over bands of temperature in place of the vapour's curve.
        assertThat(closed).isCloseTo(reached.getTime(), within(reached.getTime() * TWO_PERCENT));
    }

    /** Heating, then a covered simmer, with the root giving body, aroma, bite and mucilage all the way. */
    @Test
    void extractionThroughHeatingAndSimmerIsThatOfTheIntegrator() {
        BrewResult run = BrewSimulation.run(setup(
                600,
                List.of(ROOT),
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true),
                new Stage.Simmer(25, Flame.LOW, true)));
        double[] x = simmerReference(run.stages().get(0).durationS());
        for (int i = 0; i < Charge.CLASSES.length; i++) {
            ExtractClass extractClass = Charge.CLASSES[i];
            double drawn =
                    run.drawn().get(extractClass) / (ROOT.grams() * Math.max(1e-12, ROOT.holdsPerG(extractClass)));
            if (ROOT.holdsPerG(extractClass) > 0) {
                assertThat(drawn).as(extractClass.name()).isCloseTo(x[i], within(Math.max(x[i] * TENTH_PERCENT, 1e-6)));
            }
        }
    }

    /** State: five shares given, five shares in the liquor, temperature, water. */
    private static double[] simmerReference(double heatS) {
        double boil = Kitchen.STANDARD.boilingC();
        double ua = Losses.wattsPerKelvin(POT, 600, true, true);
        double c = capacity(600, ROOT.dryG());
        double[] start = new double[12];
        start[10] = 15;
        start[11] = 600;
        double[] boiling = Integrated.until(start, heatS, y -> slope(y, 1, (1200 - ua * (y[10] - 20)) / c, 0))
                .getPrimaryState();
        boiling[10] = boil;
        double steam = Math.max(0, 250 - ua * (boil - 20)) / Water.latentHeatJPerG(boil);
        double[] end = Integrated.until(
                        boiling,
                        25 * 60,
                        y -> slope(y, MATERIA.extraction().speeds().simmer(), 0, -steam))
                .getPrimaryState();
        return java.util.Arrays.copyOfRange(end, 5, 10);
    }

    private static double[] slope(double[] y, double agitation, double warming, double water) {
        double[] dy = new double[12];
        double reference = MATERIA.extraction().referenceC() + 273.15;
        for (int i = 0; i < 5; i++) {
            ClassConstants k = MATERIA.extraction().of(Charge.CLASSES[i]);
            double rate =
                    ROOT.ratePerS(Charge.CLASSES[i]) * Liquor.arrhenius(k.activationKj(), y[10], reference) * agitation;
            double partition = k.partitionMlPerG() * ROOT.dryG() / y[11];
            double equilibrium = (1 + partition * Math.max(0, y[i] - y[5 + i])) / (1 + partition);
            double gives = Math.max(0, rate * (equilibrium - y[i]));
            double loss =
                    k.lossPerMin() / 60 * Liquor.arrhenius(k.lossActivationKj(), y[10], 373.15) * k.lossUnderLid();
            dy[i] = gives;
            dy[5 + i] = gives - loss * y[5 + i];
        }
        dy[10] = warming;
        dy[11] = water;
        return dy;
    }

    /** Reference values: open mug 20–30 min, covered 35–50, teapot 50–70, thermos 600 min (common practice). */
    @Test
    void vesselsCoolWithTheTimeConstantsOfAKitchen() {
        assertThat(minutes(Vessel.mug(240), 240, false)).isBetween(20.0, 30.0);
        assertThat(minutes(Vessel.mug(240), 240, true)).isBetween(35.0, 50.0);
        assertThat(minutes(Vessel.of("teapot", Vessel.Kind.TEAPOT, 12, 9.5), 900, true))
                .isBetween(50.0, 70.0);
        assertThat(minutes(Vessel.of("thermos", Vessel.Kind.THERMOS, 8, 22), 1000, true))
                .isBetween(480.0, 720.0);
    }

    private static double minutes(Vessel v, double ml, boolean lid) {
        double c = ml * Water.SPECIFIC_HEAT_J_PER_G_K + v.wallJPerK();
        double toC = 20 + (90 - 20) / Math.E;
        return Way.of(new Losses.State(v, ml, lid, false), AIR, 0, c, 90, toC, Double.POSITIVE_INFINITY)
                        .seconds()
                / 60;
    }

    /** Reference values: 1 000 W net drive off about 26.6 g/min at a full boil; a gentle open simmer 4–10 g/min. */
    @Test
    void boilOffFollowsFromPowerAndLatentHeat() {
        double gPerMin = 1000 / Water.latentHeatJPerG(Kitchen.STANDARD.boilingC()) * 60;
        assertThat(gPerMin).isCloseTo(26.6, within(0.1));
        double open = simmered(false);
        assertThat(open / 20).isBetween(4.0, 10.0);
        assertThat(simmered(true) / open)
                .as("about a fifth of the gentlest simmer, less than half of this one")
                .isBetween(0.2, 0.5);
    }

    private static double simmered(boolean lid) {
        BrewResult run = BrewSimulation.run(setup(
                700,
                List.of(),
                new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true),
                new Stage.Simmer(20, Flame.LOW, lid)));
        return run.stages().get(1).startMl() - run.stages().get(1).endMl();
    }

    /** Herbs are heated with their water: 1.5 J/(g·K) of dry herb beside the water's and the wall's own. */
    @Test
    void herbsMakeTheWayToTheBoilLonger() {
        Stage heat = new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true);
        double alone = BrewSimulation.run(setup(1000, List.of(), heat)).totalS();
        double with =
                BrewSimulation.run(setup(1000, List.of(ROOT.times(10)), heat)).totalS();
        double longer = (capacity(1000, 0) + 1.5 * 120) / capacity(1000, 0);
        assertThat(with / alone).isCloseTo(longer, within(0.002));
    }
}
