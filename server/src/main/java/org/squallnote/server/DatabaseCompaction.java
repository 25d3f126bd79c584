package org.squallnote.server;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.FileStore;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.RandomAccessStore;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Gives back the room that the database file no longer needs. A commit is written at once (nothing is lost at a kill), and
 * with that H2 switches its own housekeeping off: pages that were written again stay in the file as waste, several times
 * what is alive after a large import. So the same is done here, in slices of a tenth of a second, between which everybody
 * else gets their turn, and only where it pays; never when the application ends, which is to be quick.
 */
@Component
public class DatabaseCompaction {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseCompaction.class);

    /** Below this nobody minds the waste. */
    private static final long SMALL = 32L * 1024 * 1024;

    /** It pays where less than this part is alive, in per cent: of what was written, or of the file. */
    private static final int WELL_FILLED = 70;

    /** So much is written again at a time. */
    private static final int REWRITTEN = 4 * 1024 * 1024;

    /** So much is moved at a time; less than what one commit of an import has written would move nothing. */
    private static final long MOVED = 16L * 1024 * 1024;

    private static final int SLICES_A_ROUND = 30;
    private static final long PAUSE_MILLIS = 300;

    /** One slice may only make way for the next. */
    private static final int FRUITLESS = 3;

    private final DataSource database;
    private final DataFolder folder;
    /** What could not be made better; it is left alone until it is different. */
    private @Nullable State inVain;

    private int fruitless;

    DatabaseCompaction(DataSource database, DataFolder folder) {
        this.database = database;
        this.folder = folder;
    }

    /** Some slices. What is freed by one round can be given back by the next: it is kept for 45 seconds in case of a power cut. */
    @Scheduled(initialDelay = 60, fixedDelay = 30, timeUnit = TimeUnit.SECONDS)
    void round() {
        try {
            for (int i = 0; i < SLICES_A_ROUND && slice(); i++) {
                Thread.sleep(PAUSE_MILLIS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt(); // The application ends.
        }
    }

    /** Does a little; answers whether there was something to do. */
    boolean slice() {
        try (Connection connection = database.getConnection()) {
            Optional<MVStore> store = storeOf(connection);
            if (store.isEmpty() || !(store.get().getFileStore() instanceof RandomAccessStore file)) {
                return false;
            }
            State before = State.of(file);
            if (!before.pays() || before.equals(inVain)) {
                return false;
            }
            if (before.chunks() < WELL_FILLED) {
                store.get().compact(WELL_FILLED, REWRITTEN);
            }
            if (before.file() < WELL_FILLED) {
                file.compactMoveChunks(WELL_FILLED, MOVED, store.get());
            }
            State after = State.of(file);
            LOG.debug("The database file: {}, before {}", after, before);
            fruitless = after.equals(before) ? fruitless + 1 : 0;
            inVain = fruitless < FRUITLESS ? null : after;
            return true;
        } catch (SQLException e) {
            LOG.warn("The database file could not be compacted; nothing is lost", e);
            return false;
        }
    }

    /**
     * How full the file is.
     *
     * @param chunks how much of what was written is alive, in per cent
     * @param file how much of the file is in use, in per cent
     * @param size of the file, in bytes
     */
    private record State(int chunks, int file, long size) {

        static State of(FileStore<?> store) {
            return new State(store.getChunksFillRate(), store.getFillRate(), store.size());
        }

        boolean pays() {
            return size > SMALL && (chunks < WELL_FILLED || file < WELL_FILLED);
        }
    }

    /** Empty where the database is in memory, or is no H2. */
    private static Optional<MVStore> storeOf(Connection connection) throws SQLException {
        if (!connection.isWrapperFor(JdbcConnection.class)
                || !(connection.unwrap(JdbcConnection.class).getSession() instanceof SessionLocal session)) {
            return Optional.empty();
        }
        return Optional.of(session.getDatabase().getStore().getMvStore()).filter(store -> !store.isReadOnly());
    }

    /**
     * Packs the database as tightly as can be once nobody uses it any more, for a command that ends; only where that pays,
     * since all of it is written again.
     *
     * @param closeAll closes everything that uses it
     */
    public void packAfter(Runnable closeAll) throws IOException {
        if (!(database instanceof HikariDataSource pool) || !pays()) {
            closeAll.run();
            return;
        }
        String url = pool.getJdbcUrl();
        String user = pool.getUsername();
        String password = pool.getPassword();
        closeAll.run();
        try (Connection connection = DriverManager.getConnection(url, user, password);
                Statement statement = connection.createStatement()) {
            statement.execute("shutdown compact");
        } catch (SQLException e) {
            LOG.warn("The database file could not be packed; nothing is lost", e);
        }
        folder.closeToOthers();
    }

    private boolean pays() {
        try (Connection connection = database.getConnection()) {
            return storeOf(connection)
                    .map(store -> State.of(store.getFileStore()).pays())
                    .orElse(false);
        } catch (SQLException e) {
            LOG.warn("How full the database file is could not be seen", e);
            return false;
        }
    }
}
