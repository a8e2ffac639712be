package embercup.core.measure;

import embercup.core.workings.Limit;
import java.util.OptionalDouble;

/**
 * An amount as a cook says it: "2 tsp", "1 stick". Immutable.
 *
 * @param amount more than 0; what a cook may enter is {@link Limit#AMOUNT}
 */
public record Quantity(double amount, Unit unit) {

    /** @throws IllegalArgumentException for zero, negative or non-finite amounts */
    public Quantity {
        if (!(amount > 0 && Double.isFinite(amount))) {
            throw new IllegalArgumentException("no amount: " + amount);
        }
    }

    /** Whether somebody may enter an amount: nothing that only a machine writes, nothing beyond a slip of the key. */
    public static boolean possible(double amount) {
        return Limit.AMOUNT.holds(amount);
    }

    public static Quantity of(double amount, Unit unit) {
        return new Quantity(amount, unit);
    }

    /** How much liquid it is, mL; empty for what is weighed or counted. */
    public OptionalDouble millilitres(MeasureCustom custom) {
        return unit.dimension() == Unit.Dimension.VOLUME
                ? OptionalDouble.of(amount * unit.millilitresEach(custom))
                : OptionalDouble.empty();
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
