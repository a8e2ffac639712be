package embercup.server.platform;

import java.sql.SQLException;
import java.util.Set;

/** Tells a full disk from other failures of the database. */
final class DiskFull {

    /** {@code disk_full}, and what PostgreSQL says when it cannot extend a file or has no room for its log. Source: PostgreSQL 15, appendix A. */
    private static final Set<String> STATES = Set.of("53100", "58030");

    private DiskFull() {}

    static boolean isBehind(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof SQLException sql && sql.getSQLState() != null && STATES.contains(sql.getSQLState())) {
                return true;
            }
        }
        return false;
    }
}
