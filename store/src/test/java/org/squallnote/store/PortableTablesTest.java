package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.store.portable.PortableRows;
import org.squallnote.store.portable.PortableTable;

/** Which rows an account takes along. */
class PortableTablesTest extends StoreTest {

    @Autowired
    private DataSource database;

    @Test
    void eachTableIsTakenAlongOrStaysForAReason() throws SQLException {
        try (Connection connection = database.getConnection()) {
            Set<String> named =
                    PortableTable.ALL.stream().map(PortableTable::name).collect(Collectors.toSet());
            named.addAll(PortableTable.STAYING);
            assertThat(named).containsExactlyInAnyOrderElementsOf(new PortableRows(connection).tables());
        }
    }

    @Test
    void eachComesAfterThoseThatItRefersTo() throws SQLException {
        Set<String> before = new HashSet<>(List.of("account"));
        try (Connection connection = database.getConnection()) {
            for (PortableTable table : PortableTable.ALL) {
                before.add(table.name());
                try (ResultSet keys = connection
                        .getMetaData()
                        .getImportedKeys(
                                null, connection.getSchema(), table.name().toUpperCase(Locale.ROOT))) {
                    while (keys.next()) {
                        assertThat(before)
                                .as(table.name())
                                .contains(keys.getString("PKTABLE_NAME").toLowerCase(Locale.ROOT));
                    }
                }
            }
        }
    }

    @Test
    void noSecretGoesAlong() throws SQLException {
        try (Connection connection = database.getConnection()) {
            for (PortableTable table : PortableTable.ALL) {
                assertThat(new PortableRows(connection).columns(table))
                        .as(table.name())
                        .isNotEmpty()
                        .noneMatch(column -> column.name().contains("secret")
                                || column.name().contains("password")
                                || column.name().contains("token_hash"));
            }
        }
    }
}
