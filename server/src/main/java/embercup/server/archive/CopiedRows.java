package embercup.server.archive;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyInputStream;

/**
 * Rows of a query as PostgreSQL copies them in its binary form: nothing in them is escaped, and one row at a time is held.
 *
 * @see <a href="https://www.postgresql.org/docs/15/sql-copy.html">PostgreSQL 15, COPY, binary format</a>
 */
final class CopiedRows implements AutoCloseable {

    private static final int SIGNATURE_AND_FLAGS = 11 + Integer.BYTES;
    private static final int BUFFER = 1 << 16;
    private static final short NO_MORE = -1;

    private final DataInputStream in;

    private CopiedRows(DataInputStream in) {
        this.in = in;
    }

    /** @param query whose columns are text or bytes, and never null */
    static CopiedRows of(Connection connection, String query) throws SQLException, IOException {
        DataInputStream in = new DataInputStream(new BufferedInputStream(
                new PGCopyInputStream(
                        connection.unwrap(PGConnection.class), "copy (" + query + ") to stdout (format binary)"),
                BUFFER));
        in.skipNBytes(SIGNATURE_AND_FLAGS);
        in.skipNBytes(in.readInt());
        return new CopiedRows(in);
    }

    /** Goes on to the next row; all of the row before must have been read. */
    boolean next() throws IOException {
        return in.readShort() != NO_MORE;
    }

    String text() throws IOException {
        return new String(value(), StandardCharsets.UTF_8);
    }

    /** The next column of the row: its bytes, or its text in UTF-8. */
    byte[] value() throws IOException {
        return in.readNBytes(in.readInt());
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
