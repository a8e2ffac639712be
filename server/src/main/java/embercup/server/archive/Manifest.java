package embercup.server.archive;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The last entry of an archive: what the others have.
 *
 * @param what always {@link #OURS}
 * @param formatVersion number of the last change to the household's tables when it was made; an older one is brought forward by the
 *     same changes that brought the household forward
 * @param madeAt when
 * @param rows how many rows each table has
 * @param checksums SHA-256 of every other entry, unpacked, in hexadecimal digits; missing in an archive of an earlier version
 */
record Manifest(
        String what,
        int formatVersion,
        Instant madeAt,
        Map<String, Long> rows,
        @Nullable Map<String, String> checksums) {

    static final String FILE = "manifest.json";
    static final String OURS = "ember-cup-household";

    long rowsOf(ArchivedTable of) {
        return rows.getOrDefault(of.table, 0L);
    }
}
