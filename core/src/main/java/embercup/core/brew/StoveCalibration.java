package embercup.core.brew;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.InvalidInputException.Check;
import embercup.core.workings.Limit;
import embercup.core.workings.Term;
import embercup.core.workings.Wanted;
import embercup.core.workings.Workings;

/**
 * A burner's net powers from two small measurements: how long a known amount of water takes to the boil on the high setting
 * with the lid on, and how much of it boils away in some minutes on the medium setting with the lid off. The low setting
 * keeps its share of the medium one. Immutable.
 */
public record StoveCalibration(Burner burner, Workings highW, Workings mediumW) {

    private static final int HALVINGS = 60;

    /**
     * @param waterMl cold tap water in the pot, mL
     * @param heatS seconds to the boil on high, lid on
     * @param boilOffMl boiled away on medium, lid off, mL
     * @param boilOffS in so many seconds
     */
    public record Measured(double waterMl, double heatS, double boilOffMl, double boilOffS) {}

    /** @throws InvalidInputException when a measurement is outside its range or no burner could have made it */
    public static StoveCalibration of(Kitchen kitchen, Vessel vessel, Measured m) {
        Check check = new Check();
        check.range("waterMl", m.waterMl, Limit.CALIBRATION_ML);
        check.range("heatS", m.heatS, Limit.CALIBRATION_HEAT_S);
        check.range("boilOffMl", m.boilOffMl, Limit.BOILED_OFF_ML);
        check.range("boilOffS", m.boilOffS, Limit.BOILED_OFF_S);
        check.throwIfAny();
        Workings high = highW(kitchen, vessel, m);
        Workings medium = mediumW(kitchen, m);
        double least = Limit.BURNER_W.low();
        double most = Limit.BURNER_W.high();
        check.require(
                high.value() > least * 1.01 && high.value() < most * 0.99,
                "heatS",
                m.heatS,
                new Wanted.PossibleHeating());
        check.require(
                medium.value() > least && medium.value() < most,
                "boilOffMl",
                m.boilOffMl,
                new Wanted.PossibleBoilOff());
        check.throwIfAny();
        Burner old = kitchen.burner();
        double low = Math.min(medium.value(), medium.value() * old.lowW() / old.mediumW());
        Burner fitted = new Burner(old.name(), low, medium.value(), Math.max(high.value(), medium.value()));
        return new StoveCalibration(fitted, high, medium);
    }

    private static Workings highW(Kitchen kitchen, Vessel vessel, Measured m) {
        double capacity = m.waterMl * Water.SPECIFIC_HEAT_J_PER_G_K + vessel.wallJPerK();
        return Workings.solved(
                        Term.NET_POWER_HIGH,
                        "W",
                        BrewEquation.POWER_TO_BOIL,
                        Workings.given(Term.FROM_C, kitchen.tapC(), "°C"),
                        Workings.given(Term.TO_C, kitchen.boilingC(), "°C"),
                        Workings.given(Term.MINUTES, m.heatS / 60, "min"),
                        Workings.sourced(Term.HEAT_CAPACITY, capacity, "J/K", "iapws-if97"),
                        Workings.sourced(
                                Term.HEAT_LOSS,
                                Losses.wattsPerKelvin(vessel, m.waterMl, true, true),
                                "W/K",
                                "kitchen-heat"),
                        Workings.given(Term.ROOM_C, kitchen.roomC(), "°C"))
                .from("own");
    }

    private static Workings mediumW(Kitchen kitchen, Measured m) {
        return Workings.quotient(
                        Term.NET_POWER_MEDIUM,
                        "W",
                        Workings.product(
                                Term.HEAT_INTO_STEAM,
                                "J",
                                Workings.given(Term.BOILED_AWAY, m.boilOffMl, "mL"),
                                Workings.sourced(
                                        Term.LATENT_HEAT,
                                        Water.latentHeatJPerG(kitchen.boilingC()),
                                        "J/g",
                                        "iapws-if97")),
                        Workings.given(Term.SECONDS, m.boilOffS, "s"))
                .from("own");
    }

    /** The power at which the boil is reached in the measured time, W. Bisection: more power is always faster. */
    static double powerToBoil(double fromC, double toC, double seconds, Phase.Warmth losing) {
        double low = Limit.BURNER_W.low();
        double high = Limit.BURNER_W.high();
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (low + high) / 2;
            double takes = Heating.of(fromC, losing.towardsC(), mid, losing.capacityJPerK(), losing.lossWPerK())
                    .secondsTo(toC);
            if (takes > seconds) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return (low + high) / 2;
    }
}
