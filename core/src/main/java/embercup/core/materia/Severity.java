package embercup.core.materia;

/** How much a caution weighs. A stop keeps a brew from starting until a way out is chosen. */
public enum Severity {
    NOTE,
    CARE,
    STOP
}
