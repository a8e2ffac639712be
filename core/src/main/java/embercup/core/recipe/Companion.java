package embercup.core.recipe;

/** What goes with a vessel and is none itself. */
public enum Companion {
    /** Holds the herbs of a cup, and is lifted out instead of straining. */
    TEA_BALL,
    /** Grinds what has infused into the liquor. */
    BLENDER
}
