package embercup.core.measure;

/**
 * A number as a kitchen knows it: low, best, high, with {@code low <= best <= high}. Immutable. The unit is that of the
 * place it stands in.
 */
public record Spread(double low, double best, double high) {

    /** @throws IllegalArgumentException unless low ≤ best ≤ high, all finite */
    public Spread {
        if (!(low <= best && best <= high) || Double.isInfinite(low) || Double.isInfinite(high)) {
            throw new IllegalArgumentException(
                    "a spread needs low <= best <= high: " + low + ", " + best + ", " + high);
        }
    }

    /** A number that is known: no spread. */
    public static Spread exactly(double value) {
        return new Spread(value, value, value);
    }

    /** Best value and relative half-width, for example {@code around(2, 0.35)} is 1.3–2–2.7. */
    public static Spread around(double best, double relative) {
        return new Spread(best * (1 - relative), best, best * (1 + relative));
    }

    public static Spread of(double low, double best, double high) {
        return new Spread(low, best, high);
    }

    /** @throws IllegalArgumentException for a negative factor */
    public Spread times(double factor) {
        return new Spread(low * factor, best * factor, high * factor);
    }

    /** Sum of two independent spreads; the ends add, which is the cautious reading. */
    public Spread plus(Spread other) {
        return new Spread(low + other.low, best + other.best, high + other.high);
    }

    /** What the number is when it is divided into this spread: {@code amount / this}, ends swapped. */
    public Spread dividing(double amount) {
        return new Spread(amount / high, amount / best, amount / low);
    }

    /** Larger half-width relative to the best value; 0 for a best value of 0. */
    public double relative() {
        return best == 0 ? 0 : Math.max(high - best, best - low) / best;
    }
}
