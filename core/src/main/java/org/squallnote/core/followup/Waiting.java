package org.squallnote.core.followup;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
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
 * @param needed follow-ups that are all to be done before
 */
public record Waiting(
        @Nullable Party person,
        @Nullable UUID threadId,
        @Nullable LocalDate until,
        Instant since,
        @Nullable Come come,
        @Nullable List<UUID> needed) {

    private static final int LONGEST_WORDS = 200;

    /**
     * What came.
     *
     * @param messageId the message; null where a follow-up has ended
     * @param from who wrote it; empty where a follow-up has ended
     * @param words its beginning, or what the follow-up was
     */
    public record Come(@Nullable UUID messageId, String from, String words, Instant at) {}

    /** Checks that it waits for something. */
    public Waiting {
        needed = needed == null ? List.of() : List.copyOf(needed);
        if (person == null && threadId == null && until == null && needed.isEmpty()) {
            throw new IllegalArgumentException("Say for whom, for which thread or until which day it waits.");
        }
    }

    /** Whether it is over, on a day. What is needed first holds back whatever else has come. */
    public boolean isOver(LocalDate today) {
        return come != null || (needed().isEmpty() && until != null && !until.isAfter(today));
    }

    /** What is left of it where nothing else is waited for any more; null where that is nothing. */
    @Nullable
    Waiting heldBackOnly() {
        return come != null || needed().isEmpty() ? null : new Waiting(null, null, null, since, null, needed);
    }

    /** Never null: what was stored before has none. */
    @Override
    public List<UUID> needed() {
        return needed == null ? List.of() : needed;
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

    /** The same after something has come; where others are needed first, it waits for these alone from then on. */
    public Waiting ended(UUID messageId, String from, String text, Instant at) {
        Waiting held = heldBackOnly();
        if (held != null) {
            return held;
        }
        String words = Beginning.onOneLine(text, LONGEST_WORDS);
        return new Waiting(person, threadId, until, since, new Come(messageId, from, words, at), needed);
    }

    /** The same, held back by what held it back until now. */
    public Waiting heldBackAs(@Nullable Waiting before) {
        return new Waiting(
                person,
                threadId,
                until,
                since,
                come,
                before == null || before.come != null ? List.of() : before.needed());
    }

    /**
     * What a follow-up waits for when it is known which of those that are needed first are open.
     *
     * @param now what it waits for until now
     * @param open those that are open
     * @param lastEnded what the one was that ended last
     */
    public static @Nullable Waiting needing(
            @Nullable Waiting now, List<UUID> open, String lastEnded, LocalDate today, Instant at) {
        boolean waits = now != null && !now.isOver(today);
        if (!open.isEmpty()) {
            return waits && now != null
                    ? new Waiting(now.person, now.threadId, now.until, now.since, null, open)
                    : new Waiting(null, null, null, at, null, open);
        }
        if (!waits || now == null || now.needed().isEmpty()) {
            return now;
        }
        // What it waits for besides may still come.
        return now.person != null || now.threadId != null || now.until != null
                ? new Waiting(now.person, now.threadId, now.until, now.since, null, List.of())
                : new Waiting(
                        null,
                        null,
                        null,
                        now.since,
                        new Come(null, "", Beginning.onOneLine(lastEnded, LONGEST_WORDS), at),
                        now.needed);
    }
}
