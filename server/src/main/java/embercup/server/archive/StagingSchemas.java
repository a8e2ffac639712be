package embercup.server.archive;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Schemas in which archives are brought back. One that is worked in is held by a lock of its connection, which a crash lets go of, so
 * that another server on the same database takes away what was left and nothing else.
 */
final class StagingSchemas {

    private static final String NAME = "restoring_";
    private static final String HOLD = "select pg_try_advisory_lock(hashtextextended(?, 0))";
    private static final String LET_GO = "select pg_advisory_unlock(hashtextextended(?, 0))";

    private final JdbcTemplate jdbc;

    StagingSchemas(DataSource database) {
        this.jdbc = new JdbcTemplate(database);
    }

    /** Works with the name of a schema, which is not there yet and is gone afterwards. */
    void within(Consumer<String> work) {
        String schema = NAME + UUID.randomUUID().toString().replace("-", "");
        jdbc.execute((Connection holds) -> {
            // Nobody else has a name of chance: it is free.
            ask(holds, HOLD, schema);
            try {
                work.accept(schema);
            } finally {
                drop(schema);
                ask(holds, LET_GO, schema);
            }
            return null;
        });
    }

    /** Drops what restores left that were cut short by a crash. */
    void dropLeftOver() {
        jdbc.queryForList(
                        "select nspname from pg_namespace where nspname like 'restoring\\_%' and pg_get_userbyid(nspowner)"
                                + " = current_user",
                        String.class)
                .forEach(schema -> jdbc.execute((Connection c) -> {
                    if (ask(c, HOLD, schema)) {
                        drop(schema);
                        ask(c, LET_GO, schema);
                    }
                    return null;
                }));
    }

    private void drop(String schema) {
        jdbc.execute("drop schema if exists \"" + schema + "\" cascade");
    }

    private static boolean ask(Connection c, String question, String schema) throws SQLException {
        try (PreparedStatement s = c.prepareStatement(question)) {
            s.setString(1, schema);
            try (ResultSet row = s.executeQuery()) {
                return row.next() && row.getBoolean(1);
            }
        }
    }
}
