package embercup.core.materia;

/** Constituents with a daily limit that is summed over a person's day. */
public enum Constituent {
    COUMARIN,
    GLYCYRRHIZIN,
    CAFFEINE,
    THUJONE,
    ESTRAGOLE
}
