package embercup.core.measure;

/** A mass. Immutable; grams inside, never rounded. */
public record Mass(double grams) implements Comparable<Mass> {

    /** Avoirdupois ounce, exact (NIST Handbook 44, appendix C). */
    public static final double OUNCE_G = 28.349523125;
    /** Avoirdupois pound, exact (NIST Handbook 44, appendix C). */
    public static final double POUND_G = 453.59237;

    public static final Mass ZERO = new Mass(0);

    /** @throws IllegalArgumentException for a negative or non-finite amount */
    public Mass {
        if (!(grams >= 0) || Double.isInfinite(grams)) {
            throw new IllegalArgumentException("a mass is zero or more grams, not " + grams);
        }
    }

    public static Mass grams(double grams) {
        return new Mass(grams);
    }

    public static Mass kilograms(double kilograms) {
        return new Mass(kilograms * 1000);
    }

    public static Mass milligrams(double milligrams) {
        return new Mass(milligrams / 1000);
    }

    public static Mass ounces(double ounces) {
        return new Mass(ounces * OUNCE_G);
    }

    public double milligrams() {
        return grams * 1000;
    }

    public Mass plus(Mass other) {
        return new Mass(grams + other.grams);
    }

    public Mass times(double factor) {
        return new Mass(grams * factor);
    }

    public Mass min(Mass other) {
        return grams <= other.grams ? this : other;
    }

    @Override
    public int compareTo(Mass other) {
        return Double.compare(grams, other.grams);
    }

    /** Full precision; {@link #parse} reads it back to an equal value. */
    @Override
    public String toString() {
        return grams + " g";
    }

    /** @throws IllegalArgumentException for anything but {@code "<number> g"} */
    public static Mass parse(String text) {
        return new Mass(TextForm.number(text, "g"));
    }
}
