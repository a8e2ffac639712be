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
    /** From an open hot surface, steam included, W/(m²·K). */
    private static final double OPEN = 100;
    /** The part of {@link #OPEN} that leaves as steam, W/(m²·K). */
    private static final double OPEN_STEAM = 80;

    private static final double THERMOS = 1.8;

    private Losses() {}

    /**
     * @param flameOn hot gas sheathes the wall of a pot on the flame, so that only the top loses
     */
    static double wattsPerKelvin(Vessel vessel, double waterMl, boolean lid, boolean flameOn) {
        if (vessel.kind() == Vessel.Kind.THERMOS) {
            return THERMOS * (vessel.wettedM2(waterMl) + vessel.surfaceM2());
        }
        double top = vessel.surfaceM2() * (lid ? WALL : OPEN);
        return flameOn ? top : top + vessel.wettedM2(waterMl) * WALL;
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
