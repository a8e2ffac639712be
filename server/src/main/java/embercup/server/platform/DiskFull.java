package embercup.server.platform;

import java.sql.SQLException;

/** Tells a full disk from other failures of the database. */
final class DiskFull {

    /** {@code disk_full}. Source: PostgreSQL 15, appendix A. */
    private static final String STATE = "53100";

    private DiskFull() {}

    static boolean isBehind(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof SQLException sql && STATE.equals(sql.getSQLState())) {
                return true;
            }
        }
        return false;
    }
}
