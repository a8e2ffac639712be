package embercup.core.kitchen;

/** Air pressure by altitude. Source: ISO 2533 standard atmosphere, troposphere. */
public final class Atmosphere {

    private static final double SEA_LEVEL_PA = 101_325;
    private static final double LAPSE_PER_M = 2.25577e-5;
    private static final double EXPONENT = 5.25588;

    private Atmosphere() {}

    /** @param altitudeM −400 to 5 000 m
     * @return pressure in pascal */
    public static double pressurePa(double altitudeM) {
        return SEA_LEVEL_PA * Math.pow(1 - LAPSE_PER_M * altitudeM, EXPONENT);
    }
}
