package org.squallnote.server.arrival;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.turn.Facts;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.reading.ReadingStore;
import org.squallnote.store.thread.ThreadStore;

/**
 * Computes again what is stored as a cache: readings, the threads of all mail, the turn of every thread. It holds the
 * account for one small batch at a time, so that everything else goes on meanwhile.
 */
@Component
public class Rebuild {

    private static final Logger LOG = LoggerFactory.getLogger(Rebuild.class);
    private static final int BATCH = 40;

    private final MessageStore messages;
    private final ThreadStore threads;
    private final ReadingStore store;
    private final MailThreads mailThreads;
    private final ThreadTurns turns;
    private final AccountReaders readers;
    private final Readings readings;
    private final OwnerLocks locks;

    Rebuild(
            MessageStore messages,
            ThreadStore threads,
            ReadingStore store,
            MailThreads mailThreads,
            ThreadTurns turns,
            AccountReaders readers,
            Readings readings,
            OwnerLocks locks) {
        this.messages = messages;
        this.threads = threads;
        this.store = store;
        this.mailThreads = mailThreads;
        this.turns = turns;
        this.readers = readers;
        this.readings = readings;
        this.locks = locks;
    }

    /** Rebuilds everything of one account; answers how many threads there are then. */
    public int run(UUID owner) {
        while (outdated(owner) > 0) {
            readSome(owner);
        }
        List<UUID> components = messages.components(owner);
        for (UUID component : components) {
            locks.write(owner, () -> {
                mailThreads.rethread(owner, Set.of(component), Set.of());
            });
        }
        Set<UUID> all = new HashSet<>(threads.allIds(owner));
        for (UUID threadId : all) {
            locks.write(owner, () -> turns.refresh(owner, threadId));
        }
        return all.size();
    }

    /** How many messages were read by another engine or with another calendar than the present one. */
    public int outdated(UUID owner) {
        return store.countOutdated(owner, version(owner));
    }

    /** What the messages of an account are read with now. */
    String version(UUID owner) {
        return readers.of(owner).version();
    }

    /** Reads some of those again, and derives the turns of their threads. */
    public void readSome(UUID owner) {
        locks.write(owner, () -> {
            AccountReader reader = readers.of(owner);
            Set<UUID> touched = new HashSet<>();
            for (UUID id : store.outdated(owner, reader.version(), BATCH)) {
                messages.byId(owner, id).ifPresent(message -> touched.add(readAgain(reader, message)));
            }
            touched.remove(MailThreads.UNTHREADED);
            touched.forEach(threadId -> turns.refresh(owner, threadId));
        });
    }

    private UUID readAgain(AccountReader reader, StoredMessage message) {
        try {
            readings.refresh(reader, message);
        } catch (IllegalArgumentException | IllegalStateException | IndexOutOfBoundsException e) {
            // One message that cannot be read keeps what was found before, and does not stop the others.
            LOG.warn("Message {} could not be read again", message.id(), e);
            store.save(message.owner(), message.id(), reader.version(), Facts.SILENT);
        }
        return message.threadId();
    }
}
