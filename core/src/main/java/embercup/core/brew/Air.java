package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Water;

/**
 * The air over an open liquor: what leaves it as steam follows the pressure of its vapour. Immutable.
 *
 * @param roomC of the room, °C
 * @param vapourPa of the water in the room's air, Pa
 * @param thinner how much faster steam leaves than at sea level: in thin air it spreads sooner
 */
record Air(double roomC, double vapourPa, double thinner) {

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

    static Air of(Kitchen kitchen) {
        return of(kitchen.roomC(), kitchen.boilingC());
    }

    static Air of(double roomC, double boilingC) {
        return new Air(
                roomC, HUMIDITY * Water.saturationPa(Math.max(1, roomC)), SEA_LEVEL_PA / Water.saturationPa(boilingC));
    }

    /** Heat that leaves as steam, W/m²; none from a liquor so cold that the room's vapour would settle on it. */
    double steamWPerM2(double celsius) {
        double pascal = Water.saturationPa(Math.max(1, celsius));
        return Math.max(0, W_PER_M2_PA * (pascal - vapourPa) * thinner);
    }
}
