package embercup.server.archive;

import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.sql.Connection;
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
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes a household as one zip, as a stream: PostgreSQL makes the JSON, one row or photo at a time is held. Only long text is quoted
 * here: three gigabytes of figures kept PostgreSQL at it for two thirds of a minute.
 */
final class ArchiveWriter {

    private static final int BUFFER = 1 << 16;

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
        for (ArchivedTable of : ArchivedTable.values()) {
            rows.put(of.table, tables.count(of));
        }
        Map<String, String> checksums = new LinkedHashMap<>();
        ZipOutputStream zip = new ZipOutputStream(new BufferedOutputStream(out, BUFFER));
        zip.setLevel(Deflater.BEST_SPEED);
        zip.setComment(Seal.open());
        for (ArchivedTable of : ArchivedTable.values()) {
            zip.putNextEntry(new ZipEntry(of.file()));
            MessageDigest sha = Seal.sha256();
            // Rows are small: pressed one by one they cost more than their letters.
            OutputStream lines = new BufferedOutputStream(new DigestOutputStream(zip, sha), BUFFER);
            rows(of, lines);
            lines.flush();
            zip.closeEntry();
            checksums.put(of.file(), Seal.hex(sha));
        }
        photos(zip, checksums);
        Manifest manifest = new Manifest(Manifest.OURS, version, now, rows, checksums);
        zip.putNextEntry(new ZipEntry(Manifest.FILE));
        zip.write(json.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
        zip.closeEntry();
        zip.finish();
        zip.flush();
        return manifest;
    }

    private void rows(ArchivedTable of, OutputStream out) throws SQLException, IOException {
        List<String> columns = new ArrayList<>(tables.columns(of));
        columns.remove(ArchivedTable.BYTES);
        boolean longText = columns.remove(of.longText);
        String rows =
                "select row_to_json(r)::text%s from (select * from %s order by %s) t cross join lateral (select %s) r"
                        .formatted(
                                longText ? ", " + Tables.list(List.of(of.longText)) : "",
                                tables.name(of),
                                of.order,
                                Tables.list(columns));
        try (CopiedRows copied = CopiedRows.of(connection, rows)) {
            while (copied.next()) {
                byte[] row = copied.value();
                if (!longText) {
                    out.write(row);
                } else {
                    out.write(row, 0, row.length - 1);
                    out.write((",\"" + of.longText + "\":").getBytes(StandardCharsets.UTF_8));
                    quote(copied.value(), out);
                    out.write('}');
                }
                out.write('\n');
            }
        }
    }

    private void quote(byte[] text, OutputStream out) {
        try (JsonGenerator string = json.createGenerator(new KeptOpen(out))) {
            string.writeUTF8String(text, 0, text.length);
        }
    }

    /** Pictures are pressed already: they are stored as they are. */
    private void photos(ZipOutputStream zip, Map<String, String> checksums) throws SQLException, IOException {
        String photos =
                "select brew_id::text, type, bytes from " + tables.name(ArchivedTable.PHOTOS) + " order by brew_id";
        try (CopiedRows copied = CopiedRows.of(connection, photos)) {
            while (copied.next()) {
                ZipEntry entry = new ZipEntry(PhotoFile.name(copied.text(), copied.text()));
                byte[] bytes = copied.value();
                CRC32 crc = new CRC32();
                crc.update(bytes);
                entry.setMethod(ZipEntry.STORED);
                entry.setSize(bytes.length);
                entry.setCrc(crc.getValue());
                zip.putNextEntry(entry);
                zip.write(bytes);
                zip.closeEntry();
                MessageDigest sha = Seal.sha256();
                sha.update(bytes);
                checksums.put(entry.getName(), Seal.hex(sha));
            }
        }
    }

    /** Whoever writes a part closes nothing that others go on writing to. */
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
