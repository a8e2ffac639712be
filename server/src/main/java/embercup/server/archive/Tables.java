package embercup.server.archive;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** The tables of one schema, read by their own description. Names come from the database and from {@link ArchivedTable} alone. */
final class Tables {

    private final Connection connection;
    private final String schema;

    Tables(Connection connection, String schema) {
        this.connection = connection;
        this.schema = schema;
    }

    static Tables current(Connection connection) throws SQLException {
        return new Tables(connection, connection.getSchema());
    }

    String schema() {
        return schema;
    }

    String name(ArchivedTable of) {
        return name(of.table);
    }

    String name(String table) {
        return '"' + schema + "\".\"" + table + '"';
    }

    /** Columns that are written; what the database computes itself is left to it. Empty when there is no such table. */
    List<String> columns(ArchivedTable of) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (PreparedStatement s =
                connection.prepareStatement("select column_name from information_schema.columns where table_schema = ?"
                        + " and table_name = ? and is_generated = 'NEVER' order by ordinal_position")) {
            s.setString(1, schema);
            s.setString(2, of.table);
            try (ResultSet rows = s.executeQuery()) {
                while (rows.next()) {
                    columns.add(rows.getString(1));
                }
            }
        }
        return columns;
    }

    long count(ArchivedTable of) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet rows = s.executeQuery("select count(*) from " + name(of))) {
            rows.next();
            return rows.getLong(1);
        }
    }

    int run(String sql) throws SQLException {
        try (Statement s = connection.createStatement()) {
            return s.executeUpdate(sql);
        }
    }

    static String list(List<String> columns) {
        return columns.stream()
                .map(c -> '"' + c + '"')
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }
}
