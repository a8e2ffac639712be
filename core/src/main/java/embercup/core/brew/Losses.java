package embercup.core.brew;

import embercup.core.kitchen.Vessel;

/**
 * Heat that leaves the liquor. A covered liquor loses by its wall and its lid, in proportion to how much warmer than the room it is; an
 * open one loses steam too, which follows the pressure of its vapour and not a straight line. Chosen so that an open 240 mL mug
 * cools with a time constant of 20–30 min, a covered one with 35–50, a teapot with 50–70 and a litre thermos with about 600 min
 * (source key {@code kitchen-heat}).
 */
final class Losses {

    /** Air and radiation from a wetted wall or a lid, W/(m²·K). */
    private static final double WALL = 20;
    /** From the lid and the whole wall of a covered pot on the flame, and past its rim, W/(m²·K) (estimate). */
    private static final double COVERED = 22;
    /** Air and radiation from an open hot surface beside its steam, W/(m²·K). */
    private static final double OPEN = 20;

    private static final double THERMOS = 1.8;

    /** A lid that holds back what rises here does so at everything warmer, °C. */
    private static final double WARM_C = 50;

    private Losses() {}

    /**
     * The loss over a band of temperature: power lost = {@code wattsPerKelvin} × (T − {@code towardsC}); steam in it =
     * {@code steamWPerK} × (T − {@code steamFromC}).
     *
     * @param lowC the line holds from here
     * @param highC to here, °C
     */
    record Line(
            double wattsPerKelvin, double towardsC, double steamWPerK, double steamFromC, double lowC, double highC) {
        static Line straight(double wattsPerKelvin, double roomC) {
            return new Line(wattsPerKelvin, roomC, 0, roomC, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
        }

        double watts(double celsius) {
            return wattsPerKelvin * (celsius - towardsC);
        }
    }

    /** What it stands in, and whether it is covered and heated. */
    record State(Vessel vessel, double waterMl, boolean lid, boolean flameOn) {
        boolean open() {
            return !lid && vessel.kind() != Vessel.Kind.THERMOS;
        }

        /** Whether it is a covered pot on the flame. */
        boolean covers() {
            return lid && flameOn && vessel.kind() != Vessel.Kind.THERMOS;
        }
    }

    /**
     * What a covered liquor, or one in a thermos, loses for each kelvin, W/K; of an open one what it loses beside its steam. What a
     * burner gives to the water of an open pot is its net power: what the wall loses beside the flame is off it already. Under a lid
     * the steam warms lid and wall to the rim, and both lose: 1.4–2.4 W/K for a pot of 16–20 cm.
     */
    static double wattsPerKelvin(Vessel vessel, double waterMl, boolean lid, boolean flameOn) {
        if (vessel.kind() == Vessel.Kind.THERMOS) {
            return THERMOS * (vessel.wettedM2(waterMl) + vessel.surfaceM2());
        }
        if (flameOn && lid) {
            return COVERED * (vessel.surfaceM2() + vessel.wallM2());
        }
        double top = vessel.surfaceM2() * (lid ? WALL : OPEN);
        return flameOn ? top : top + vessel.wettedM2(waterMl) * WALL;
    }

    /**
     * All that is lost at a temperature, steam included, W. Lid and wall of a covered pot on the flame give away no more than the
     * surface under them gives up, so that a lid never costs heat.
     */
    static double watts(State of, Air air, double celsius) {
        double dry = wattsPerKelvin(of.vessel, of.waterMl, of.lid, of.flameOn) * (celsius - air.roomC());
        if (of.open()) {
            return dry + of.vessel.surfaceM2() * air.steamWPerM2(celsius);
        }
        return of.covers() ? Math.min(dry, lifted(of, air, celsius, air.steamWPerM2(celsius))) : dry;
    }

    /** What a covered pot on the flame would lose without its lid, W. */
    private static double lifted(State of, Air air, double celsius, double steamWPerM2) {
        return wattsPerKelvin(of.vessel, of.waterMl, false, true) * (celsius - air.roomC())
                + of.vessel.surfaceM2() * steamWPerM2;
    }

    /**
     * What of it carries water away, W; none under a lid. On the flame all that the open top loses, so that the steam grows without a
     * jump into that of the boil, whatever the width of the pot.
     */
    static double steamW(State of, Air air, double celsius) {
        if (!of.open()) {
            return 0;
        }
        return of.flameOn ? Math.max(0, watts(of, air, celsius)) : of.vessel.surfaceM2() * air.steamWPerM2(celsius);
    }

    /** The straight line of the band in which a temperature lies; at the end of one, of that into which it goes on. */
    static Line line(State of, Air air, double celsius, boolean rising) {
        double dry = wattsPerKelvin(of.vessel, of.waterMl, of.lid, of.flameOn);
        if (!of.open() && !of.covers()) {
            return Line.straight(dry, air.roomC());
        }
        return line(of, air, dry, Air.band(celsius, rising));
    }

    private static Line line(State of, Air air, double dry, int band) {
        double low = Air.lowC(band);
        double high = Air.highC(band);
        if (of.covers()) {
            return covered(of, air, dry, band);
        }
        double steamLow = of.vessel.surfaceM2() * air.steamAtLowWPerM2(band);
        double slope = (of.vessel.surfaceM2() * air.steamAtLowWPerM2(band + 1) - steamLow) / (high - low);
        double all = dry + slope;
        // Where the line of all that is lost meets zero.
        double towards = (dry * air.roomC() + slope * low - steamLow) / all;
        if (of.flameOn) {
            return new Line(all, towards, all, towards, low, high);
        }
        double from = slope <= 0 ? low : low - steamLow / slope;
        return new Line(all, towards, slope, from, low, high);
    }

    /** From the band on in which the lid holds back what rises, its loss is one straight line. */
    private static Line covered(State of, Air air, double dry, int band) {
        double low = Air.lowC(band);
        double high = Air.highC(band);
        double atLow = Math.min(dry * (low - air.roomC()), lifted(of, air, low, air.steamAtLowWPerM2(band)));
        double atHigh = Math.min(dry * (high - air.roomC()), lifted(of, air, high, air.steamAtLowWPerM2(band + 1)));
        double slope = (atHigh - atLow) / (high - low);
        if (Math.abs(slope - dry) < 1e-9) {
            return new Line(dry, air.roomC(), 0, air.roomC(), low, high < WARM_C ? high : Double.POSITIVE_INFINITY);
        }
        return new Line(slope, low - atLow / slope, 0, low, low, high);
    }

    /** Where a power and the loss are even, °C: hotter it never gets. */
    static double evenC(State of, Air air, double watts) {
        double dry = wattsPerKelvin(of.vessel, of.waterMl, of.lid, of.flameOn);
        if (!of.open() && !of.covers()) {
            return air.roomC() + watts / dry;
        }
        int band = Air.band(air.roomC(), true);
        Line line = line(of, air, dry, band);
        double even = line.towardsC + watts / line.wattsPerKelvin;
        while (even > line.highC && !Air.last(band)) {
            line = line(of, air, dry, ++band);
            even = line.towardsC + watts / line.wattsPerKelvin;
        }
        return even;
    }

    /**
     * Heat of the steam that lid and wall give to the room at the boil, W: so much of it condenses there and runs back, and the rest of
     * the power leaves as steam, lid or no lid.
     */
    static double condensingW(Vessel vessel, boolean lid, double boilingC, double roomC) {
        return lid ? wattsPerKelvin(vessel, 0, true, true) * (boilingC - roomC) : 0;
    }
}
