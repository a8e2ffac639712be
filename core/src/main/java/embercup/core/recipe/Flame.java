package embercup.core.recipe;

/** Setting of the burner. What it is worth in watts belongs to the kitchen. */
public enum Flame {
    LOW,
    MEDIUM,
    HIGH
}
