package org.squallnote.sources.chat;

import java.util.List;
import java.util.Optional;

/** What is known of a chat account, and where news is put down. Each method is one transaction. */
public interface ChatJournal {

    /** Where the last answer of {@code /sync} ended. */
    Optional<String> syncToken();

    /** The rooms as last seen. */
    List<RoomView> rooms();

    /** Stretches that are still to be read. */
    List<Gap> gaps();

    /** Puts down one answer of {@code /sync}: rooms, events, new gaps and the next token together. */
    void saveSync(List<RoomView> rooms, List<ChatEvent> events, List<Gap> gaps, String nextToken);

    /**
     * Puts down one page of a room's past and replaces the gap it came from.
     *
     * @param rest what remains of the gap
     * @return whether an event of the page was known before, so that the gap is closed
     */
    boolean savePage(Gap gap, List<ChatEvent> events, Optional<Gap> rest);
}
