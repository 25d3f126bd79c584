package org.squallnote.server.search;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;
import org.squallnote.search.OwnerIndex;
import org.squallnote.server.DataFolder;
import org.squallnote.store.search.SearchStore;

/**
 * The indexes of all accounts, each in a folder of its own beside the database. Where the database is encrypted they
 * live in memory only, since their words would stand in the clear on the disk, and are made anew at each start.
 */
@Component
public class Indexes {

    private static final Logger LOG = LoggerFactory.getLogger(Indexes.class);

    private final Path folder;
    private final boolean onDisk;
    private final SearchStore store;
    private final Map<UUID, OwnerIndex> open = new HashMap<>();
    private boolean closed;

    /** @param databaseKey empty where the database is not encrypted */
    public Indexes(DataFolder data, @Value("${spring.datasource.password:}") String databaseKey, SearchStore store) {
        this.folder = data.path().resolve("search");
        this.onDisk = databaseKey.isBlank();
        this.store = store;
        if (!onDisk) {
            // It was made before the database was encrypted.
            delete(folder);
        }
    }

    private static void delete(Path folder) {
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be deleted", e);
        }
    }

    /**
     * The index of an account; one that is new gets everything put into it.
     *
     * @throws UncheckedIOException when it cannot be opened, or the application stops
     */
    synchronized OwnerIndex of(UUID owner) {
        if (closed) {
            throw new UncheckedIOException(new IOException("The application stops"));
        }
        OwnerIndex index = open.computeIfAbsent(owner, this::opened);
        if (index.isBroken()) {
            open.remove(owner);
            close(index);
            index = opened(owner);
            open.put(owner, index);
        }
        return index;
    }

    /** Whether the index of an account closed itself; it is opened again when it is asked for. */
    synchronized boolean isBroken(UUID owner) {
        return Optional.ofNullable(open.get(owner)).filter(OwnerIndex::isBroken).isPresent();
    }

    /** Whether all were closed since the application stops: what is marked then stays marked. */
    synchronized boolean areClosed() {
        return closed;
    }

    private OwnerIndex opened(UUID owner) {
        try {
            OwnerIndex index = onDisk ? OwnerIndex.in(folder.resolve(owner.toString())) : OwnerIndex.inMemory();
            if (index.isFresh()) {
                store.markMessages(owner);
                store.markFollowUps(owner);
                index.commit();
            }
            return index;
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be opened", e);
        }
    }

    /** Forgets the index of an account; it is made anew from the database. */
    public synchronized void rebuild(UUID owner) {
        close(open.remove(owner));
        delete(folder.resolve(owner.toString()));
    }

    @PreDestroy
    synchronized void close() {
        closed = true;
        open.values().forEach(Indexes::close);
        open.clear();
    }

    private static void close(@Nullable OwnerIndex index) {
        if (index != null) {
            try {
                index.close();
            } catch (IOException e) {
                // Nothing is lost: what was not written is marked still.
                LOG.warn("The index for finding things could not be closed", e);
            }
        }
    }
}
