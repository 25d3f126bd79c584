package org.squallnote.server.chasing;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.outbox.ChatSent;
import org.squallnote.store.chase.ChaseStore;

/** Lets a reminder that went out in a chat be known there by its event, as that is read again. */
@Component
class SentInChat {

    private final ChaseStore store;
    private final ThreadTurns turns;
    private final OwnerLocks locks;

    SentInChat(ChaseStore store, ThreadTurns turns, OwnerLocks locks) {
        this.store = store;
        this.turns = turns;
        this.locks = locks;
    }

    @EventListener
    void sent(ChatSent message) {
        if (!store.threadsOf(message.owner(), message.identity()).isEmpty()) {
            locks.write(message.owner(), () -> {
                store.rename(message.owner(), message.identity(), message.eventId());
                turns.reminded(message.owner(), message.eventId());
            });
        }
    }
}
