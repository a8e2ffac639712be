package embercup.core.kitchen;

/**
 * Properties of water in a kitchen's range. Source: IAPWS-IF97; the saturation temperature is its region-4 backward
 * equation, the latent heat a Watson form fitted to it (within 0.2 % from 20 to 100 °C).
 */
public final class Water {

    /** Mean specific heat between 15 and 100 °C, J/(g·K): 356.1 kJ/kg over 85 K (IF97 enthalpies). */
    public static final double SPECIFIC_HEAT_J_PER_G_K = 4.19;

    private static final double[] N = {
        0.11670521452767e4,
        -0.72421316703206e6,
        -0.17073846940092e2,
        0.12020824702470e5,
        -0.32325550322333e7,
        0.14915108613530e2,
        -0.48232657361591e4,
        0.40511340542057e6,
        -0.23855557567849,
        0.65017534844798e3
    };
    private static final double CRITICAL_K = 647.096;
    private static final double LATENT_AT_100_J_PER_G = 2256.5;
    private static final double WATSON_EXPONENT = 0.321;
    private static final double ZERO_CELSIUS_K = 273.15;

    private Water() {}

    /** @param pressurePa 611 Pa to 22 MPa
     * @return saturation temperature in °C */
    public static double boilingC(double pressurePa) {
        double beta = Math.pow(pressurePa / 1e6, 0.25);
        double e = beta * beta + N[2] * beta + N[5];
        double f = N[0] * beta * beta + N[3] * beta + N[6];
        double g = N[1] * beta * beta + N[4] * beta + N[7];
        double d = 2 * g / (-f - Math.sqrt(f * f - 4 * e * g));
        double sum = N[9] + d;
        return (sum - Math.sqrt(sum * sum - 4 * (N[8] + N[9] * d))) / 2 - ZERO_CELSIUS_K;
    }

    /** @param celsius 0.01–370 °C
     * @return saturation pressure in Pa: region 4 of IAPWS-IF97 */
    public static double saturationPa(double celsius) {
        double kelvin = celsius + ZERO_CELSIUS_K;
        double theta = kelvin + N[8] / (kelvin - N[9]);
        double a = theta * theta + N[0] * theta + N[1];
        double b = N[2] * theta * theta + N[3] * theta + N[4];
        double c = N[5] * theta * theta + N[6] * theta + N[7];
        return 1e6 * Math.pow(2 * c / (-b + Math.sqrt(b * b - 4 * a * c)), 4);
    }

    /** @return latent heat of evaporation in J/g at {@code celsius}, 0–150 °C */
    public static double latentHeatJPerG(double celsius) {
        double ratio = (CRITICAL_K - celsius - ZERO_CELSIUS_K) / (CRITICAL_K - 100 - ZERO_CELSIUS_K);
        return LATENT_AT_100_J_PER_G * Math.pow(ratio, WATSON_EXPONENT);
    }
}
