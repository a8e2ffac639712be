package embercup.core.brew;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.workings.InvalidInput;
import embercup.core.workings.Workings;

/**
 * A burner's net powers from two small measurements: how long a known amount of water takes to the boil on the high setting
 * with the lid on, and how much of it boils away in some minutes on the medium setting with the lid off. The low setting
 * keeps its share of the medium one. Immutable.
 */
public record StoveCalibration(Burner burner, Workings highW, Workings mediumW) {

    private static final double LEAST_W = 20;
    private static final double MOST_W = 6000;
    private static final int HALVINGS = 60;

    /**
     * @param waterMl cold tap water in the pot, 200–5 000 mL
     * @param heatS seconds to the boil on high, lid on, 30–3 600
     * @param boilOffMl boiled away on medium, lid off, 5–2 000 mL
     * @param boilOffS in so many seconds, 60–3 600
     * @throws InvalidInput when a measurement is outside its range or no burner could have made it
     */
    public static StoveCalibration of(
            Kitchen kitchen, Vessel vessel, double waterMl, double heatS, double boilOffMl, double boilOffS) {
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("waterMl", waterMl, 200, 5000, "mL");
        check.range("heatS", heatS, 30, 3600, "s");
        check.range("boilOffMl", boilOffMl, 5, 2000, "mL");
        check.range("boilOffS", boilOffS, 60, 3600, "s");
        check.throwIfAny();
        double high = wattsToBoil(kitchen, vessel, waterMl, heatS);
        double medium = boilOffMl / boilOffS * Water.latentHeatJPerG(kitchen.boilingC());
        check.require(
                high > LEAST_W * 1.01 && high < MOST_W * 0.99,
                "heatS",
                heatS,
                "a time in which a kitchen burner could boil that water");
        check.require(
                medium > LEAST_W && medium < MOST_W,
                "boilOffMl",
                boilOffMl,
                "an amount that a kitchen burner could boil away");
        check.throwIfAny();
        Burner old = kitchen.burner();
        double top = Math.max(high, medium);
        Burner fitted = new Burner(old.name(), Math.min(medium, medium * old.lowW() / old.mediumW()), medium, top);
        Workings highSteps = Workings.computed(
                "net power, high",
                "the power at which this water reaches the boil in the measured time, with what the lid loses",
                high,
                "W",
                Workings.given("water", waterMl, "mL"),
                Workings.given("time to the boil", heatS / 60, "min"),
                Workings.given("from", kitchen.tapC(), "°C"),
                Workings.given("to", kitchen.boilingC(), "°C"));
        Workings mediumSteps = Workings.computed(
                        "net power, medium",
                        "water boiled away ÷ time × heat to turn a gram into steam",
                        medium,
                        "W",
                        Workings.given("boiled away", boilOffMl, "mL"),
                        Workings.given("time", boilOffS / 60, "min"),
                        Workings.sourced(
                                "heat to turn a gram into steam",
                                Water.latentHeatJPerG(kitchen.boilingC()),
                                "J/g",
                                "iapws-if97"))
                .from("own");
        return new StoveCalibration(fitted, highSteps.from("own"), mediumSteps);
    }

    /** Bisection: more power is always faster. */
    private static double wattsToBoil(Kitchen kitchen, Vessel vessel, double waterMl, double heatS) {
        double capacity = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K + vessel.wallJPerK();
        double loss = Losses.wattsPerKelvin(vessel, waterMl, true, true);
        double low = LEAST_W;
        double high = MOST_W;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (low + high) / 2;
            double seconds = Heating.of(kitchen.tapC(), kitchen.roomC(), mid, capacity, loss)
                    .secondsTo(kitchen.boilingC());
            if (seconds > heatS) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return (low + high) / 2;
    }
}
