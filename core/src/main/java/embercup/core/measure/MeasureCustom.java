package embercup.core.measure;

import embercup.core.workings.Limit;

/**
 * How this household reads its measures.
 *
 * @param system whose spoons and cups
 * @param liangG grams in one liang; 3 in today's clinics, see {@link #LIANG_READINGS_G}
 */
public record MeasureCustom(KitchenSystem system, double liangG) {

    /** Clinic, Han-dynasty reading (disputed 13.8–15.6), Taiwan, modern market; source key {@code liang-readings}. */
    public static final java.util.List<Double> LIANG_READINGS_G = java.util.List.of(3.0, 15.625, 37.5, 50.0);

    public static final MeasureCustom DEFAULT = new MeasureCustom(KitchenSystem.US, 3);

    /** @throws IllegalArgumentException for a liang outside {@link Limit#LIANG_G} */
    public MeasureCustom {
        if (!Limit.LIANG_G.holds(liangG)) {
            throw new IllegalArgumentException("no reading of a liang: " + liangG + " g");
        }
    }
}
