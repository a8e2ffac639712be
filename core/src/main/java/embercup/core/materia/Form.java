package embercup.core.materia;

/** Fresh from the plant, or dried. */
public enum Form {
    FRESH,
    DRIED
}
