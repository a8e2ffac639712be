package embercup.core.dose;

/** How strong the cook wants it: a factor on the recipe's own dose (common practice, no source). */
public enum Strength {
    GENTLE(0.75),
    STANDARD(1),
    STRONG(1.35);

    private final double factor;

    Strength(double factor) {
        this.factor = factor;
    }

    public double factor() {
        return factor;
    }
}
