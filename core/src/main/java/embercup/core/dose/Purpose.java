package embercup.core.dose;

/** What the cup is for: a factor on the dose and how often it is drunk (common practice, no source). */
public enum Purpose {
    EVERYDAY(1, 3),
    /** Daily over weeks: a little less, twice a day. */
    TONIC(0.9, 2),
    /** A few days at the first sign of something: a little more. */
    ACUTE(1.2, 4);

    private final double factor;
    private final int cupsADay;

    Purpose(double factor, int cupsADay) {
        this.factor = factor;
        this.cupsADay = cupsADay;
    }

    public double factor() {
        return factor;
    }

    public int cupsADay() {
        return cupsADay;
    }
}
