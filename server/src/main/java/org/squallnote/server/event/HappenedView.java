package org.squallnote.server.event;

import java.time.Instant;
import java.util.List;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.event.Event;
import org.squallnote.core.event.Subjects;

/**
 * Something that happened, as the stream, the list and webhooks tell it.
 *
 * @param seq its number, by which the stream is taken up again after it
 * @param kind what was done, {@code message-arrived} for what came in
 * @param what the same in words
 * @param commandId the change, which {@code POST /api/commands/ID/undo} takes back; null for what came in
 * @param subjects what it was about, the first fifty
 * @param topics which parts of the account it touched
 */
record HappenedView(
        long seq,
        Instant at,
        String kind,
        String what,
        @Nullable UUID commandId,
        List<Subjects.Subject> subjects,
        List<String> topics) {

    static HappenedView of(Event event) {
        return new HappenedView(
                event.seq(),
                event.at(),
                event.kind(),
                event.label(),
                event.commandId(),
                event.subjects().list(),
                List.copyOf(new TreeSet<>(event.topics().names())));
    }
}
