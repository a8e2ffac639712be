package embercup.core.materia;

/**
 * Where a value comes from.
 *
 * @param key short name used in the data
 * @param kind what sort of source it is
 * @param title the publication or custom
 * @param fromMemory quoted from memory of that source, to be checked against the current edition
 */
public record Source(String key, Kind kind, String title, boolean fromMemory) {

    /** The key of every figure that a herb takes from its part. */
    public static final String PART = "part";

    /** Sorts of sources, the surest first. */
    public enum Kind {
        PUBLISHED,
        HANDBOOK,
        PRACTICE,
        ESTIMATE,
        /** The figure of the herb's part, as it has none of its own. */
        PART,
        /** The cook's own measurement, or a source that she named. */
        OWN
    }
}
