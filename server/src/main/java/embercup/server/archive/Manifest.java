package embercup.server.archive;

import java.time.Instant;
import java.util.Map;

/**
 * The first entry of an archive.
 *
 * @param what always {@link #OURS}
 * @param formatVersion number of the last change to the household's tables when it was made; an older one is brought forward by the
 *     same changes that brought the household forward
 * @param madeAt when
 * @param rows how many rows each table has
 */
record Manifest(String what, int formatVersion, Instant madeAt, Map<String, Long> rows) {

    static final String FILE = "manifest.json";
    static final String OURS = "ember-cup-household";

    long rowsOf(Contents of) {
        return rows.getOrDefault(of.table, 0L);
    }
}
