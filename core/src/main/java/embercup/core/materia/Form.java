package embercup.core.materia;

/** Fresh from the plant, or dried. */
public enum Form {
    FRESH,
    DRIED;

    /** The other of the two. */
    public Form other() {
        return this == FRESH ? DRIED : FRESH;
    }
}
