package embercup.core.recipe;

/** Where something stands for hours. */
public enum Place {
    ROOM,
    FRIDGE,
    /** In a sunny window: room, a little warmer. */
    SUN
}
