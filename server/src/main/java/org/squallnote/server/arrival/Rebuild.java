package org.squallnote.server.arrival;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;

/** Computes again what is stored as a cache: the threads of all mail and the turn of every thread. */
@Component
public class Rebuild {

    private final MessageStore messages;
    private final ThreadStore threads;
    private final MailThreads mailThreads;
    private final ThreadTurns turns;
    private final OwnerLocks locks;

    Rebuild(MessageStore messages, ThreadStore threads, MailThreads mailThreads, ThreadTurns turns, OwnerLocks locks) {
        this.messages = messages;
        this.threads = threads;
        this.mailThreads = mailThreads;
        this.turns = turns;
        this.locks = locks;
    }

    /** Rebuilds for one account; answers how many threads there are then. */
    public int run(UUID owner) {
        List<UUID> components = messages.components(owner);
        for (UUID component : components) {
            locks.write(owner, () -> {
                mailThreads.rethread(owner, Set.of(component));
            });
        }
        Set<UUID> all = new HashSet<>(threads.allIds(owner));
        for (UUID threadId : all) {
            locks.write(owner, () -> turns.refresh(owner, threadId));
        }
        return all.size();
    }
}
