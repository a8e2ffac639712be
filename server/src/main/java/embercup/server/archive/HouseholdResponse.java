package embercup.server.archive;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a household holds, and how well it is kept.
 *
 * @param empty whether an archive can be brought back into it
 */
record HouseholdResponse(boolean empty, Held holds, BackupsResponse backups) {

    /** How many there are. */
    record Held(long people, long recipes, long brews, long notes, long photos, long tins) {

        static Held of(Map<ArchivedTable, Long> rows) {
            return new Held(
                    rows.getOrDefault(ArchivedTable.PEOPLE, 0L),
                    rows.getOrDefault(ArchivedTable.RECIPES, 0L),
                    rows.getOrDefault(ArchivedTable.BREWS, 0L),
                    rows.getOrDefault(ArchivedTable.NOTES, 0L),
                    rows.getOrDefault(ArchivedTable.PHOTOS, 0L),
                    rows.getOrDefault(ArchivedTable.TINS, 0L));
        }
    }

    /**
     * Archives of the nights.
     *
     * @param folder where they are kept on the machine the server runs on
     * @param kept how many there are, at most {@code most}
     * @param lastAt when the newest was made; absent while there is none
     * @param lastBytes its size
     * @param late whether a night was missed
     * @param failedAt when the last try failed; absent when it did not
     * @param why what stood in its way
     * @param ahead how many are dated ahead, by a clock that was wrong: they count for no night
     */
    record BackupsResponse(
            String folder,
            int kept,
            int most,
            @Nullable Instant lastAt,
            @Nullable Long lastBytes,
            boolean late,
            @Nullable Instant failedAt,
            @Nullable String why,
            int ahead) {}
}
