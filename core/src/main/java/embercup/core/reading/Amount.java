package embercup.core.reading;

import embercup.core.measure.Unit;
import java.util.Optional;
import java.util.Set;

/**
 * An amount as it was written. Immutable.
 *
 * @param low the number, or the lower end of a range
 * @param high the upper end; the number itself where there is no range
 * @param unit empty for a bare number
 * @param loose how far it is left open
 * @param word the word that leaves it open: "heaped", "small", "a few"; empty for none
 */
record Amount(double low, double high, Optional<Unit> unit, Loose loose, String word) {

    /** How far an amount is left open. */
    enum Loose {
        NONE,
        /** "A few". */
        FEW,
        /** "A little", "to taste": no number at all. */
        TASTE,
        HEAPED,
        SCANT,
        SMALL,
        LARGE
    }

    /** What is drunk from, and counts cups. */
    static final Set<Unit> CUPS = Set.of(Unit.CUP, Unit.MUG, Unit.GLASS);

    static Amount of(double low, double high) {
        return new Amount(low, high, Optional.empty(), Loose.NONE, "");
    }

    Amount in(Unit other) {
        return new Amount(low, high, Optional.of(other), loose, word);
    }

    Amount left(Loose other, String said) {
        return new Amount(low, high, unit, other, said);
    }

    Amount times(double factor) {
        return new Amount(low * factor, high * factor, unit, loose, word);
    }

    boolean range() {
        return high > low * 1.001;
    }

    boolean volume() {
        return unit.filter(u -> u.dimension() == Unit.Dimension.VOLUME).isPresent();
    }
}
