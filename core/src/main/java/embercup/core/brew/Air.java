package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Water;

/**
 * The air over an open liquor: what leaves it as steam follows the pressure of its vapour. Immutable.
 */
final class Air {

    /** Ends of the bands in which the loss of an open liquor is taken as a straight line, °C. */
    private static final double[] BANDS = {-30, 0, 20, 40, 55, 70, 85, 100, 115};

    private static final double[] PASCAL = new double[BANDS.length];

    static {
        for (int i = 0; i < BANDS.length; i++) {
            PASCAL[i] = Water.saturationPa(Math.max(1, BANDS[i]));
        }
    }

    /** Humidity of a usual kitchen (common practice, no source). */
    private static final double HUMIDITY = 0.5;

    private static final double SEA_LEVEL_PA = 101_325;

    /** Air of a room without a draught moves no faster (ASHRAE 55; from memory), m/s. */
    private static final double ROOM_AIR_M_PER_S = 0.2;

    /**
     * Heat that air carries off an open water surface as steam for each pascal between the vapour over the water and that in the room,
     * W/(m²·Pa): ASHRAE Handbook, HVAC Applications, evaporation of pools, W = A (p_w − p_a)(0.089 + 0.0782 V)/Y (from memory).
     */
    private static final double W_PER_M2_PA = 0.089 + 0.0782 * ROOM_AIR_M_PER_S;

    private final double roomC;
    /** Of the water in the room's air, Pa. */
    private final double vapourPa;
    /** How much faster steam leaves than at sea level: in thin air it spreads sooner. */
    private final double thinner;

    private Air(double roomC, double vapourPa, double thinner) {
        this.roomC = roomC;
        this.vapourPa = vapourPa;
        this.thinner = thinner;
    }

    static Air of(Kitchen kitchen) {
        return of(kitchen.roomC(), kitchen.boilingC());
    }

    /** @param roomC °C */
    static Air of(double roomC, double boilingC) {
        return new Air(
                roomC, HUMIDITY * Water.saturationPa(Math.max(1, roomC)), SEA_LEVEL_PA / Water.saturationPa(boilingC));
    }

    double roomC() {
        return roomC;
    }

    /** Heat that leaves as steam, W/m²; none from a liquor so cold that the room's vapour would settle on it. */
    double steamWPerM2(double celsius) {
        return carries(Water.saturationPa(Math.max(1, celsius)));
    }

    private double carries(double pascal) {
        return Math.max(0, W_PER_M2_PA * (pascal - vapourPa) * thinner);
    }

    // ---- the bands

    /** The band in which a temperature lies; at the end of one, that into which it goes on. */
    static int band(double celsius, boolean rising) {
        int band = 0;
        while (band < BANDS.length - 2 && (rising ? celsius >= BANDS[band + 1] : celsius > BANDS[band + 1])) {
            band++;
        }
        return band;
    }

    static double lowC(int band) {
        return BANDS[band];
    }

    static double highC(int band) {
        return BANDS[band + 1];
    }

    static boolean last(int band) {
        return band == BANDS.length - 2;
    }

    /** Heat that leaves as steam at the lower end of a band, W/m²; of the one after it, at its upper end. */
    double steamAtLowWPerM2(int band) {
        return carries(PASCAL[band]);
    }
}
