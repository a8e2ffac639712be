package embercup.core.recipe;

/** What strained liquor runs into. */
public enum Receiver {
    CUPS,
    JUG,
    POT,
    JAR,
    BOTTLE;

    /** Whether the liquor stands in it as one thing, to be heated, sweetened or kept; in cups it is parted. */
    public boolean holdsBatch() {
        return this != CUPS;
    }

    /** Whether it is closed and kept, and what is drunk of it is poured out later. */
    public boolean keeps() {
        return this == JAR || this == BOTTLE;
    }
}
