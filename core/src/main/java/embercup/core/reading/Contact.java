package embercup.core.reading;

/** What the water is at the herbs. */
enum Contact {
    NONE,
    COLD,
    /** Hot, and not yet on them. */
    READY,
    POURED,
    ON_FIRE,
    OFF_FIRE
}
