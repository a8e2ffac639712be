package embercup.core.materia;

/**
 * Where a value comes from.
 *
 * @param key short name used in the data
 * @param title the publication or custom
 * @param fromMemory quoted from memory of that source, to be checked against the current edition
 */
public record Source(String key, String title, boolean fromMemory) {}
