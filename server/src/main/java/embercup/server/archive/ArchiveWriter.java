package embercup.server.archive;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyManager;
import tools.jackson.databind.json.JsonMapper;

/** Writes a household as one zip, as a stream: PostgreSQL makes the JSON, one photo at a time is held. */
final class ArchiveWriter {

    /** JSON has neither of these two characters raw, so that a line goes through COPY as it is. */
    static final String AS_LINES = " (format csv, quote e'\\x01', delimiter e'\\x02')";

    private final Connection connection;
    private final Tables tables;
    private final JsonMapper json;

    ArchiveWriter(Connection connection, JsonMapper json) throws SQLException {
        this.connection = connection;
        this.tables = Tables.current(connection);
        this.json = json;
    }

    /**
     * Writes all of it. The connection is in a transaction that sees one moment.
     *
     * @param version of the household's tables
     */
    Manifest write(OutputStream out, int version, Instant now) throws SQLException, IOException {
        tables.run("set local time zone 'UTC'");
        Map<String, Long> rows = new LinkedHashMap<>();
        for (Contents of : Contents.values()) {
            rows.put(of.table, tables.count(of));
        }
        Manifest manifest = new Manifest(Manifest.OURS, version, now, rows);
        ZipOutputStream zip = new ZipOutputStream(out);
        zip.setLevel(Deflater.BEST_SPEED);
        zip.putNextEntry(new ZipEntry(Manifest.FILE));
        zip.write(json.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
        zip.closeEntry();
        CopyManager copy = connection.unwrap(PGConnection.class).getCopyAPI();
        for (Contents of : Contents.values()) {
            zip.putNextEntry(new ZipEntry(of.file()));
            copy.copyOut("copy (" + lines(of) + ") to stdout" + AS_LINES, new KeptOpen(zip));
            zip.closeEntry();
        }
        photos(zip);
        zip.finish();
        return manifest;
    }

    private String lines(Contents of) throws SQLException {
        List<String> columns = new ArrayList<>(tables.columns(of));
        columns.remove(Contents.BYTES);
        return "select row_to_json(r) from (select %s from %s order by %s) r"
                .formatted(Tables.list(columns), tables.name(of), of.order);
    }

    /** Pictures are pressed already: they are stored as they are. */
    private void photos(ZipOutputStream zip) throws SQLException, IOException {
        try (PreparedStatement s = connection.prepareStatement(
                "select brew_id, type, bytes from " + tables.name(Contents.PHOTOS) + " order by brew_id",
                ResultSet.TYPE_FORWARD_ONLY,
                ResultSet.CONCUR_READ_ONLY)) {
            s.setFetchSize(1);
            s.setFetchDirection(ResultSet.FETCH_FORWARD);
            try (ResultSet rows = s.executeQuery()) {
                while (rows.next()) {
                    byte[] bytes = rows.getBytes(3);
                    ZipEntry entry = new ZipEntry(PhotoFile.name(rows.getString(1), rows.getString(2)));
                    CRC32 crc = new CRC32();
                    crc.update(bytes);
                    entry.setMethod(ZipEntry.STORED);
                    entry.setSize(bytes.length);
                    entry.setCrc(crc.getValue());
                    zip.putNextEntry(entry);
                    zip.write(bytes);
                    zip.closeEntry();
                }
            }
        }
    }

    /** COPY closes nothing that others go on writing to. */
    private static final class KeptOpen extends FilterOutputStream {

        KeptOpen(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int at, int length) throws IOException {
            out.write(bytes, at, length);
        }

        @Override
        public void close() {}
    }
}
