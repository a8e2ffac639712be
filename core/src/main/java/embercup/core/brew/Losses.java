package embercup.core.brew;

import embercup.core.kitchen.Vessel;

/**
 * Heat that leaves the liquor for each kelvin above the room, W/K. Chosen so that an open 240 mL mug cools with a time
 * constant of 20–30 min, a covered one with 35–50, a teapot with 50–70 and a litre thermos with about 600 min (source key
 * {@code kitchen-heat}).
 */
final class Losses {

    /** Air and radiation from a wetted wall or a lid, W/(m²·K). */
    private static final double WALL = 20;
    /** From the lid and the whole wall of a covered pot on the flame, and past its rim, W/(m²·K) (estimate). */
    private static final double COVERED = 22;
    /** From an open hot surface, steam included, W/(m²·K). */
    private static final double OPEN = 100;
    /** The part of {@link #OPEN} that leaves as steam, W/(m²·K). */
    private static final double OPEN_STEAM = 80;

    private static final double THERMOS = 1.8;

    private Losses() {}

    /**
     * What a burner gives to the water of an open pot is its net power: what the wall loses beside the flame is off it already. Under
     * a lid the steam warms lid and wall to the rim, and both lose: 1.4–2.4 W/K for a pot of 16–20 cm.
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
     * Heat of the steam that lid and wall give to the room at the boil, W: so much of it condenses there and runs back, and the rest of
     * the power leaves as steam, lid or no lid.
     */
    static double condensingW(Vessel vessel, boolean lid, double boilingC, double roomC) {
        return lid ? wattsPerKelvin(vessel, 0, true, true) * (boilingC - roomC) : 0;
    }

    /**
     * The part of the loss that carries water away, W/K; none under a lid. On the flame all of what the open top loses, so that
     * the steam grows without a jump into that of the boil, whatever the width of the pot.
     */
    static double steamWattsPerKelvin(Vessel vessel, boolean lid, boolean flameOn) {
        if (vessel.kind() == Vessel.Kind.THERMOS) {
            return 0;
        }
        if (lid) {
            return 0;
        }
        return vessel.surfaceM2() * (flameOn ? OPEN : OPEN_STEAM);
    }
}
