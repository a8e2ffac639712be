package embercup.core.materia;

/** Comminution, from coarse to fine in the order of declaration. */
public enum Cut {
    WHOLE,
    SLICED,
    CHOPPED,
    BRUISED,
    CRUSHED,
    GRATED,
    GROUND,
    PASTE;

    /** How many grades apart two cuts are; 0 for the same. */
    public int gradesFrom(Cut other) {
        return Math.abs(ordinal() - other.ordinal());
    }

    /** What holds a cut back when the liquor is strained (common practice, no source). */
    public enum Strainer {
        SIEVE,
        FINE_SIEVE,
        CLOTH
    }

    /** What holds it back when the liquor is strained. */
    public Strainer strainer() {
        return switch (this) {
            case WHOLE, SLICED, CHOPPED -> Strainer.SIEVE;
            case BRUISED, CRUSHED, GRATED -> Strainer.FINE_SIEVE;
            case GROUND, PASTE -> Strainer.CLOTH;
        };
    }

    /** Fine enough to flow and to pass a coarse sieve. */
    public boolean fine() {
        return this == GROUND || this == PASTE;
    }
}
