package org.squallnote.core.followup;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Beginning;

/**
 * What a follow-up waits for: it is out of sight until the first of it comes, and then back on top.
 *
 * @param person somebody's next word, wherever they write it; null for nobody's
 * @param threadId the next word of somebody else in a thread; null for none
 * @param until a day, at the latest; null for none
 * @param since from when on it counts
 * @param come what came first, null while it waits
 */
public record Waiting(
        @Nullable Party person,
        @Nullable UUID threadId,
        @Nullable LocalDate until,
        Instant since,
        @Nullable Come come) {

    private static final int LONGEST_WORDS = 200;

    /**
     * What came.
     *
     * @param messageId the message
     * @param from who wrote it
     * @param words its beginning
     */
    public record Come(UUID messageId, String from, String words, Instant at) {}

    /** Checks that it waits for something. */
    public Waiting {
        if (person == null && threadId == null && until == null) {
            throw new IllegalArgumentException("Say for whom, for which thread or until which day it waits.");
        }
    }

    /** Whether it is over, on a day. */
    public boolean isOver(LocalDate today) {
        return come != null || (until != null && !until.isAfter(today));
    }

    /** Whether a message that somebody else wrote is what it waits for. */
    public boolean isEndedBy(Party writer, UUID thread, Instant sentAt) {
        return come == null
                && sentAt.isAfter(since)
                && (thread.equals(threadId) || (person != null && isWrittenBy(person, writer)));
    }

    /** Who is known by name only is known by it. */
    private static boolean isWrittenBy(Party person, Party writer) {
        return person.address().isEmpty()
                ? !person.name().isEmpty() && person.name().equalsIgnoreCase(writer.name())
                : person.isSameAs(writer);
    }

    /** The same after something has come. */
    public Waiting ended(UUID messageId, String from, String text, Instant at) {
        String words = Beginning.onOneLine(text, LONGEST_WORDS);
        return new Waiting(person, threadId, until, since, new Come(messageId, from, words, at));
    }
}
