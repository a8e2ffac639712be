package embercup.core.measure;

/**
 * An amount as a cook says it: "2 tsp", "1 stick". Immutable.
 *
 * @param amount more than 0, at most {@link #MOST}
 */
public record Quantity(double amount, Unit unit) {

    /** Nobody brews a million of anything; above this it is a slip of the key. */
    public static final double MOST = 1_000_000;

    /** @throws IllegalArgumentException for zero, negative, non-finite or absurd amounts */
    public Quantity {
        if (!(amount > 0 && amount <= MOST)) {
            throw new IllegalArgumentException("an amount is more than 0 and at most " + MOST + ", not " + amount);
        }
    }

    public static Quantity of(double amount, Unit unit) {
        return new Quantity(amount, unit);
    }

    public Quantity times(double factor) {
        return new Quantity(amount * factor, unit);
    }

    /** {@code "2.0 tsp"}; {@link #parse} reads it back to an equal value. */
    @Override
    public String toString() {
        return amount + " " + unit.code();
    }

    /** @throws IllegalArgumentException for anything but {@code "<number> <unit code>"} */
    public static Quantity parse(String text) {
        int space = text.indexOf(' ');
        Unit unit = Unit.ofCode(text.substring(space + 1))
                .orElseThrow(() -> new IllegalArgumentException("no unit in '" + text + "'"));
        return new Quantity(Double.parseDouble(text.substring(0, Math.max(space, 0))), unit);
    }
}
