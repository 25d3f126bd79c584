package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DatabaseCompactionTest {

    /** What is freed may be given back at once, which a power cut would forbid. */
    private static final String AT_ONCE = ";RETENTION_TIME=0";

    private static final int ROWS = 20_000;
    private static final int BYTES_OF_A_ROW = 3_000;

    @TempDir
    private Path data;

    private HikariDataSource database;
    private DatabaseCompaction compaction;

    @BeforeEach
    void aDatabase() throws IOException {
        database = new HikariDataSource();
        database.setJdbcUrl("jdbc:h2:file:" + data.resolve("squallnote") + ";WRITE_DELAY=0" + AT_ONCE);
        compaction = new DatabaseCompaction(database, new DataFolder(data.toString()));
    }

    @AfterEach
    void close() {
        database.close();
    }

    private long size() throws IOException {
        return Files.size(data.resolve("squallnote.mv.db"));
    }

    /** Writes what is deleted again but for each hundredth row; the file keeps the room of all. */
    private void fillAndEmpty() throws SQLException {
        Random random = new Random(1);
        byte[] bytes = new byte[BYTES_OF_A_ROW];
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table letter (id int primary key, words varbinary(4000))");
            try (PreparedStatement insert = connection.prepareStatement("insert into letter values (?, ?)")) {
                for (int i = 0; i < ROWS; i++) {
                    random.nextBytes(bytes);
                    insert.setInt(1, i);
                    insert.setBytes(2, bytes);
                    insert.addBatch();
                    if (i % 500 == 0) {
                        insert.executeBatch();
                    }
                }
                insert.executeBatch();
            }
            statement.execute("delete from letter where mod(id, 100) <> 0");
        }
    }

    private void change() throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table another (id int primary key)");
        }
    }

    private long rows() throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select count(*) from letter where octet_length(words) = " + BYTES_OF_A_ROW)) {
            rows.next();
            return rows.getLong(1);
        }
    }

    @Test
    void givesBackTheRoomOfWhatIsGoneWhileTheDatabaseIsInUse() throws Exception {
        fillAndEmpty();
        assertThat(size()).isGreaterThan(40_000_000);
        int slices = 0;
        while (compaction.slice() && slices < 500) {
            slices++;
        }
        assertThat(slices).isLessThan(500);
        // The end of the file goes with the next change that somebody makes.
        change();
        assertThat(size()).isLessThan(2_000_000);
        assertThat(rows()).isEqualTo(ROWS / 100);
        assertThat(compaction.slice()).as("anything left to do").isFalse();
    }

    @Test
    void leavesASmallDatabaseAlone() throws Exception {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table letter (id int primary key)");
        }
        assertThat(compaction.slice()).isFalse();
    }

    @Test
    void packsItTightlyAfterACommand() throws Exception {
        fillAndEmpty();
        compaction.packAfter(database::close);
        assertThat(size()).isLessThan(2_000_000);
        aDatabase();
        assertThat(rows()).isEqualTo(ROWS / 100);
    }
}
