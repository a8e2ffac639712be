package embercup.server.archive;

import embercup.server.brews.Picture;
import embercup.server.platform.BodyLimits;
import embercup.server.platform.RefusedException;
import java.io.IOException;
import java.io.InputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;

/**
 * Rows of an archive in a schema of their own, whose tables are those of the version the archive was made by. Whatever the household's
 * tables refuse is refused here, before anything of the household is touched.
 */
final class Staging {

    private static final String LINES = "archive_line";

    /** JSON has neither of these two characters raw, so that a line goes through COPY as it is. */
    private static final String AS_LINES = " (format csv, quote e'\\x01', delimiter e'\\x02')";

    private final Connection connection;
    private final Tables tables;

    Staging(Connection connection, String schema) {
        this.connection = connection;
        this.tables = new Tables(connection, schema);
    }

    /**
     * Takes in all rows and photos.
     *
     * @throws RefusedException 422 when a row is not of its table, something is missing, or a photo is none
     */
    void load(ArchiveFile archive) throws SQLException, IOException {
        // Rows name each other in any order; all of it is checked at the end.
        deferChecks();
        if (!tables.columns(ArchivedTable.PHOTOS).isEmpty()) {
            tables.run("alter table " + tables.name(ArchivedTable.PHOTOS) + " alter column bytes drop not null");
        }
        tables.run(
                "create table " + tables.name(LINES) + " (n bigint generated always as identity, line jsonb not null)");
        for (ArchivedTable of : ArchivedTable.values()) {
            List<String> columns = tables.columns(of);
            if (columns.isEmpty()) {
                if (archive.manifest().rowsOf(of) > 0 || archive.has(of)) {
                    throw ArchiveFile.refused("archive-entry", Map.of("entry", of.file()));
                }
                continue;
            }
            tables.run("delete from " + tables.name(of));
            try {
                rows(archive, of, columns);
            } catch (PSQLException e) {
                throw refused(of, e);
            }
        }
        tables.run("drop table " + tables.name(LINES));
        try {
            tables.run("set constraints all immediate");
        } catch (PSQLException e) {
            throw refused(null, e);
        }
    }

    private void deferChecks() throws SQLException {
        List<String> all = new ArrayList<>();
        try (PreparedStatement s = connection.prepareStatement(
                "select format('alter table %I.%I alter constraint %I deferrable initially deferred',"
                        + " n.nspname, t.relname, c.conname) from pg_constraint c join pg_class t on t.oid = c.conrelid"
                        + " join pg_namespace n on n.oid = t.relnamespace where c.contype = 'f' and n.nspname = ?")) {
            s.setString(1, tables.schema());
            try (ResultSet rows = s.executeQuery()) {
                while (rows.next()) {
                    all.add(rows.getString(1));
                }
            }
        }
        for (String sql : all) {
            tables.run(sql);
        }
    }

    private void rows(ArchiveFile archive, ArchivedTable of, List<String> columns) throws SQLException, IOException {
        tables.run("truncate " + tables.name(LINES));
        try (InputStream in = archive.rows(of)) {
            connection
                    .unwrap(PGConnection.class)
                    .getCopyAPI()
                    .copyIn("copy " + tables.name(LINES) + " (line) from stdin" + AS_LINES, in);
        }
        boolean photos = of == ArchivedTable.PHOTOS;
        onlyColumns(of, columns, photos);
        List<String> filled = new ArrayList<>(columns);
        if (photos) {
            filled.remove(ArchivedTable.BYTES);
        }
        String list = Tables.list(filled);
        int n = tables.run(
                "insert into %s (%s) overriding system value select %s from %s l, jsonb_populate_record(null::%s, l.line)"
                                .formatted(tables.name(of), list, list, tables.name(LINES), tables.name(of))
                        + " order by l.n");
        if (n != archive.manifest().rowsOf(of)) {
            throw ArchiveFile.refused("archive-short", Map.of("entry", of.file()));
        }
        if (photos) {
            photos(archive, n);
        }
    }

    /** A field that the table does not have would be lost silently. */
    private void onlyColumns(ArchivedTable of, List<String> columns, boolean photos) throws SQLException {
        try (PreparedStatement s =
                connection.prepareStatement("select case when jsonb_typeof(line) = 'object' then k else '?' end"
                        + " from " + tables.name(LINES) + " left join lateral jsonb_object_keys("
                        + "case when jsonb_typeof(line) = 'object' then line else '{}' end) k on true"
                        + " where jsonb_typeof(line) <> 'object' or k <> all (?) limit 1")) {
            List<String> known = new ArrayList<>(columns);
            if (photos) {
                known.remove(ArchivedTable.BYTES);
            }
            s.setArray(1, connection.createArrayOf("text", known.toArray()));
            try (ResultSet rows = s.executeQuery()) {
                if (rows.next()) {
                    throw ArchiveFile.refused(
                            "archive-row", Map.of("entry", of.file(), "why", "“" + rows.getString(1) + "”"));
                }
            }
        }
    }

    private void photos(ArchiveFile archive, long rows) throws SQLException, IOException {
        if (archive.photos() != rows) {
            throw ArchiveFile.refused("archive-short", Map.of("entry", "photos"));
        }
        String table = tables.name(ArchivedTable.PHOTOS);
        try (Statement all = connection.createStatement();
                PreparedStatement give =
                        connection.prepareStatement("update " + table + " set bytes = ? where brew_id = ?::uuid");
                ResultSet of = all.executeQuery("select brew_id, type from " + table)) {
            while (of.next()) {
                byte[] bytes = archive.photo(of.getString(1), of.getString(2), BodyLimits.PHOTO_BYTES);
                if (!Picture.typeOf(bytes).equals(of.getString(2))) {
                    throw ArchiveFile.refused(
                            "archive-row",
                            Map.of("entry", PhotoFile.name(of.getString(1), of.getString(2)), "why", ""));
                }
                give.setBytes(1, bytes);
                give.setString(2, of.getString(1));
                give.executeUpdate();
            }
        }
    }

    /** What the database says of a row; a full disk or a database that went away is no fault of the archive. */
    private static RuntimeException refused(@Nullable ArchivedTable of, PSQLException e) throws PSQLException {
        String state = String.valueOf(e.getSQLState());
        // 54: nested deeper than a value may be.
        boolean theRow = state.startsWith("22") || state.startsWith("23") || state.startsWith("54");
        if (!theRow) {
            throw e;
        }
        ServerErrorMessage said = e.getServerErrorMessage();
        return ArchiveFile.refused(
                "archive-row",
                Map.of(
                        "entry",
                        of == null ? "" : of.file(),
                        "why",
                        said == null ? "" : String.valueOf(said.getMessage())));
    }
}
