package embercup.core.brew;

/**
 * Newton's law with a constant source, in closed form: C·dT/dt = P − UA·(T − T_room), so that
 * T(t) = T∞ + (T₀ − T∞)·exp(−t/τ) with T∞ = T_room + P/UA and τ = C/UA. Immutable.
 *
 * @param startC temperature at t = 0, °C
 * @param endC temperature after infinite time, °C
 * @param tauS time constant, s
 */
public record Heating(double startC, double endC, double tauS) {

    /**
     * @param capacityJPerK heat capacity of water, wall and wet herbs, J/K
     * @param lossWPerK UA, W/K, more than 0
     */
    public static Heating of(double startC, double roomC, double watts, double capacityJPerK, double lossWPerK) {
        return new Heating(startC, roomC + watts / lossWPerK, capacityJPerK / lossWPerK);
    }

    public double celsiusAt(double seconds) {
        return endC + (startC - endC) * Math.exp(-seconds / tauS);
    }

    /** Seconds until {@code celsius} is reached; infinite when it never is, 0 when it is passed already. */
    public double secondsTo(double celsius) {
        boolean rising = endC > startC;
        if (rising ? startC >= celsius : startC <= celsius) {
            return 0;
        }
        double ratio = (celsius - endC) / (startC - endC);
        return ratio <= 0 ? Double.POSITIVE_INFINITY : -tauS * Math.log(ratio);
    }

    /** ∫ (T − base) dt from 0 to {@code seconds}, K·s. */
    public double degreeSeconds(double base, double seconds) {
        return (endC - base) * seconds + (startC - endC) * tauS * -Math.expm1(-seconds / tauS);
    }
}
