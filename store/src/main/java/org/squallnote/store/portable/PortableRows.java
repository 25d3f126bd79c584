package org.squallnote.store.portable;

import java.io.IOException;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads and writes the rows of portable tables in one transaction, as the database describes them: a column that comes with
 * a migration goes along without being named here. A cell is a text, a number, a truth or nothing; moments and days are in
 * the form of ISO 8601, bytes in Base64 (RFC 4648 section 4).
 */
public final class PortableRows {

    private static final int AT_ONCE = 500;

    private final Connection connection;

    /** In the transaction of a connection. */
    public PortableRows(Connection connection) {
        this.connection = connection;
    }

    /** Takes a row; may fail as files do. */
    public interface RowTaker {

        void take(Map<String, @Nullable Object> row) throws IOException;
    }

    /** A column, and whether it may be empty. */
    public record Column(String name, String type, boolean nullable) {}

    /** The columns of a table that go along, in their order. */
    public List<Column> columns(PortableTable table) throws SQLException {
        List<Column> columns = new ArrayList<>();
        DatabaseMetaData meta = connection.getMetaData();
        try (ResultSet found =
                meta.getColumns(null, connection.getSchema(), table.name().toUpperCase(Locale.ROOT), null)) {
            while (found.next()) {
                String name = found.getString("COLUMN_NAME").toLowerCase(Locale.ROOT);
                boolean generated = "YES".equals(found.getString("IS_GENERATEDCOLUMN"));
                if (!table.without().contains(name) && !generated) {
                    columns.add(new Column(
                            name,
                            kind(found.getString("TYPE_NAME"), found.getInt("DATA_TYPE")),
                            found.getInt("NULLABLE") == DatabaseMetaData.columnNullable));
                }
            }
        }
        return columns;
    }

    private static String kind(String name, int type) {
        if (name.equalsIgnoreCase("uuid")) {
            return "id";
        }
        return switch (type) {
            case Types.TIMESTAMP_WITH_TIMEZONE -> "moment";
            case Types.TIMESTAMP -> "local-moment";
            case Types.DATE -> "day";
            case Types.TIME -> "time";
            case Types.BOOLEAN, Types.BIT -> "truth";
            case Types.INTEGER, Types.BIGINT, Types.SMALLINT, Types.TINYINT -> "number";
            case Types.BLOB, Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY -> "bytes";
            default -> "text";
        };
    }

    /** All rows of an account, in the order of their keys. */
    public void read(PortableTable table, UUID account, RowTaker taker) throws SQLException, IOException {
        List<Column> columns = columns(table);
        String names = columns.stream().map(Column::name).collect(Collectors.joining(", "));
        List<String> keys = keys(table);
        String order = keys.isEmpty() ? names : String.join(", ", keys);
        try (PreparedStatement query = connection.prepareStatement(
                "select " + names + " from " + table.name() + " where " + table.owner() + " = ? order by " + order)) {
            query.setFetchSize(AT_ONCE);
            query.setObject(1, account);
            try (ResultSet rows = query.executeQuery()) {
                while (rows.next()) {
                    Map<String, @Nullable Object> row = new LinkedHashMap<>();
                    for (int i = 0; i < columns.size(); i++) {
                        row.put(
                                columns.get(i).name(),
                                cell(rows, i + 1, columns.get(i).type()));
                    }
                    taker.take(row);
                }
            }
        }
    }

    private static @Nullable Object cell(ResultSet rows, int at, String type) throws SQLException {
        Object cell = switch (type) {
            case "moment" -> {
                OffsetDateTime moment = rows.getObject(at, OffsetDateTime.class);
                yield moment == null ? null : moment.toInstant().toString();
            }
            case "local-moment" -> rows.getObject(at, LocalDateTime.class);
            case "day" -> rows.getObject(at, LocalDate.class);
            case "time" -> rows.getObject(at, LocalTime.class);
            case "truth" -> rows.getBoolean(at);
            case "number" -> rows.getLong(at);
            case "bytes" -> {
                byte[] bytes = rows.getBytes(at);
                yield bytes == null ? null : Base64.getEncoder().encodeToString(bytes);
            }
            default -> rows.getString(at);
        };
        return rows.wasNull() || cell == null
                ? null
                : cell instanceof Number || cell instanceof Boolean ? cell : cell.toString();
    }

    /** The columns that name a row; nothing where a table has none. */
    private List<String> keys(PortableTable table) throws SQLException {
        Map<Integer, String> keys = new LinkedHashMap<>();
        try (ResultSet found = connection
                .getMetaData()
                .getPrimaryKeys(null, connection.getSchema(), table.name().toUpperCase(Locale.ROOT))) {
            while (found.next()) {
                keys.put(found.getInt("KEY_SEQ"), found.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
            }
        }
        return keys.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(Map.Entry::getValue)
                .toList();
    }

    /** Writes rows into a table; those that are there already stay as they are. */
    public Writing writing(PortableTable table) throws SQLException {
        return new Writing(table);
    }

    /** Writes the rows of one table. */
    public final class Writing implements AutoCloseable {

        private final List<Column> columns;
        private final List<Column> named;
        private final PreparedStatement insert;
        private final PreparedStatement known;

        private Writing(PortableTable table) throws SQLException {
            this.columns = columns(table);
            List<String> keys = keys(table);
            this.named = keys.isEmpty()
                    ? columns.stream().filter(column -> !column.nullable()).toList()
                    : columns.stream()
                            .filter(column -> keys.contains(column.name()))
                            .toList();
            List<String> all =
                    new ArrayList<>(columns.stream().map(Column::name).toList());
            List<String> values =
                    new ArrayList<>(columns.stream().map(column -> "?").toList());
            table.without().stream().sorted().forEach(name -> {
                all.add(name);
                values.add(standIn(name));
            });
            this.insert = connection.prepareStatement("insert into " + table.name() + " (" + String.join(", ", all)
                    + ") values (" + String.join(", ", values) + ")");
            this.known = connection.prepareStatement("select 1 from " + table.name() + " where "
                    + named.stream().map(column -> column.name() + " = ?").collect(Collectors.joining(" and ")));
        }

        /** What stands in an installation that was never connected. */
        private static String standIn(String column) {
            return switch (column) {
                case "secret" -> "x''";
                case "status" -> "'CONNECTING'";
                case "status_text" -> "''";
                default -> "0";
            };
        }

        /** Whether a row was new. */
        public boolean write(Map<String, @Nullable Object> row) throws SQLException {
            for (int i = 0; i < named.size(); i++) {
                set(known, i + 1, named.get(i), row.get(named.get(i).name()));
            }
            try (ResultSet there = known.executeQuery()) {
                if (there.next()) {
                    return false;
                }
            }
            for (int i = 0; i < columns.size(); i++) {
                set(insert, i + 1, columns.get(i), row.get(columns.get(i).name()));
            }
            insert.executeUpdate();
            return true;
        }

        private static void set(PreparedStatement statement, int at, Column column, @Nullable Object cell)
                throws SQLException {
            if (cell == null) {
                statement.setObject(at, null);
                return;
            }
            String text = cell.toString();
            switch (column.type()) {
                case "moment" -> statement.setObject(at, Instant.parse(text).atOffset(ZoneOffset.UTC));
                case "local-moment" -> statement.setObject(at, LocalDateTime.parse(text));
                case "day" -> statement.setObject(at, LocalDate.parse(text));
                case "time" -> statement.setObject(at, LocalTime.parse(text));
                case "truth" -> statement.setBoolean(at, Boolean.parseBoolean(text));
                case "number" -> statement.setLong(at, Long.parseLong(text));
                case "bytes" -> statement.setBytes(at, Base64.getDecoder().decode(text));
                case "id" -> statement.setObject(at, UUID.fromString(text));
                default -> statement.setString(at, text);
            }
        }

        @Override
        public void close() throws SQLException {
            insert.close();
            known.close();
        }
    }

    /** The migration that the database is at. */
    public String schema() throws SQLException {
        try (PreparedStatement query = connection.prepareStatement(
                        "select \"version\" from \"flyway_schema_history\" where \"success\" order by \"installed_rank\" desc"
                                + " fetch first row only");
                ResultSet found = query.executeQuery()) {
            return found.next() ? found.getString(1) : "";
        }
    }

    /** The names of all tables. */
    public List<String> tables() throws SQLException {
        List<String> tables = new ArrayList<>();
        try (ResultSet found = connection
                .getMetaData()
                .getTables(null, connection.getSchema(), null, new String[] {"TABLE", "BASE TABLE"})) {
            while (found.next()) {
                tables.add(found.getString("TABLE_NAME").toLowerCase(Locale.ROOT));
            }
        }
        return tables;
    }
}
