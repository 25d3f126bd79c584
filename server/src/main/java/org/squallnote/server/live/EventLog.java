package org.squallnote.server.live;

import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.squallnote.core.event.Event;
import org.squallnote.core.event.Subjects;
import org.squallnote.core.event.Topics;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.text.Beginning;
import org.squallnote.store.event.EventStore;

/** Writes down what happens, in the transaction in which it does, for those outside who follow it. */
@Component
public class EventLog {

    private static final int LONGEST_LABEL = 300;

    private final EventStore store;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    EventLog(EventStore store, ApplicationEventPublisher events, Clock clock) {
        this.store = store;
        this.events = events;
        this.clock = clock;
    }

    /** There is something new of an account, and it is committed. */
    public record Happened(UUID owner) {}

    /** Notes what a change did. */
    public void changed(
            UUID owner,
            UUID commandId,
            String kind,
            String label,
            List<Subjects.Subject> subjects,
            Collection<Topic> topics) {
        if (!label.isEmpty()) {
            note(owner, kind, commandId, null, label, subjects, topics);
        }
    }

    /** Notes a message that came in to be decided. */
    public void arrived(StoredMessage message, UUID threadId) {
        note(
                message.owner(),
                Event.ARRIVED,
                null,
                message.id(),
                Beginning.onOneLine(message.from().displayName() + ": " + message.subject(), LONGEST_LABEL),
                List.of(new Subjects.Subject("MESSAGE", message.id()), new Subjects.Subject("THREAD", threadId)),
                List.of(Topic.INTAKE, Topic.THREADS));
    }

    /** Puts other words in place of those of a message that came in. */
    public void relabel(StoredMessage message, String label) {
        store.relabel(message.owner(), message.id(), label);
    }

    /** Puts other words in place of those of changes. */
    public void relabel(UUID owner, List<UUID> commands, String label) {
        store.relabelChanges(owner, commands, label);
    }

    private void note(
            UUID owner,
            String kind,
            @Nullable UUID commandId,
            @Nullable UUID messageId,
            String label,
            List<Subjects.Subject> subjects,
            Collection<Topic> topics) {
        store.insert(new Event(
                0,
                owner,
                clock.instant(),
                kind,
                commandId,
                messageId,
                label,
                new Subjects(subjects),
                new Topics(topics.stream().map(Topic::name).collect(Collectors.toSet()))));
        LiveEvents.afterCommit(() -> events.publishEvent(new Happened(owner)));
    }
}
