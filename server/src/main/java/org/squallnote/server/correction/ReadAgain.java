package org.squallnote.server.correction;

import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.arrival.MailThreads;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.store.message.MessageStore;

/** Writes corrections down and lets what depends on them follow: heaps and turns. */
@Component
public class ReadAgain {

    /** Older messages of a sender keep what was found; nobody decides them any more. */
    private static final int MOST_OF_A_PARTY = 300;

    private final MessageStore messages;
    private final AccountReaders readers;
    private final Readings readings;
    private final ThreadTurns turns;

    ReadAgain(MessageStore messages, AccountReaders readers, Readings readings, ThreadTurns turns) {
        this.messages = messages;
        this.readers = readers;
        this.readings = readings;
        this.turns = turns;
    }

    /** The message that is corrected. */
    StoredMessage message(UUID owner, UUID id) {
        return messages.byId(owner, id).orElseThrow(() -> Refusal.notFound("message"));
    }

    /** Corrects one message, or takes its correction back. */
    public void correct(UUID owner, UUID messageId, @Nullable Asks correction) {
        messages.correct(owner, messageId, correction);
        read(owner, Set.of(messageId));
    }

    /** Takes up a rule about a sender or list that has changed. */
    void party(UUID owner, String party) {
        read(owner, new HashSet<>(messages.fromParty(owner, party, MOST_OF_A_PARTY)));
    }

    private void read(UUID owner, Set<UUID> ids) {
        AccountReader reader = readers.of(owner);
        Set<UUID> touched = new HashSet<>();
        for (UUID id : ids) {
            messages.byId(owner, id).ifPresent(message -> touched.add(read(reader, message)));
        }
        touched.remove(MailThreads.UNTHREADED);
        touched.forEach(threadId -> turns.refresh(owner, threadId));
    }

    private UUID read(AccountReader reader, StoredMessage message) {
        readings.refresh(reader, message);
        return message.threadId();
    }
}
