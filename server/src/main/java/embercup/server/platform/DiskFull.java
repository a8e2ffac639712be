package embercup.server.platform;

import java.io.IOException;
import java.sql.SQLException;

/** Tells a full disk from other failures of the database and of files. */
final class DiskFull {

    /** {@code disk_full}. Source: PostgreSQL 15, appendix A. */
    private static final String STATE = "53100";

    /** What the Java runtime says for ENOSPC. */
    private static final String NO_SPACE = "No space left on device";

    private DiskFull() {}

    static boolean isBehind(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof SQLException sql && STATE.equals(sql.getSQLState())
                    || t instanceof IOException
                            && String.valueOf(t.getMessage()).contains(NO_SPACE)) {
                return true;
            }
        }
        return false;
    }
}
