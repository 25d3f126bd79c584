package org.squallnote.server.thread;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadShape;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ReshapedThreads;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;
import tools.jackson.databind.json.JsonMapper;

/** Splits threads in two and joins them, by hand: people change the subject in the middle, and start anew in the middle. */
@Component
class SplitsAndJoins implements Restorer {

    private final Threads threads;
    private final ThreadStore store;
    private final MessageStore messages;
    private final ReshapedThreads reshaped;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    SplitsAndJoins(
            Threads threads,
            ThreadStore store,
            MessageStore messages,
            ReshapedThreads reshaped,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        this.threads = threads;
        this.store = store;
        this.messages = messages;
        this.reshaped = reshaped;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /**
     * What was said of where the thread of a message begins, as it stands in the history.
     *
     * @param cut whether it begins with it
     * @param with the messages to whose threads it belongs
     */
    record Shape(boolean cut, List<UUID> with) {

        static final Shape NONE = new Shape(false, List.of());
    }

    /** Lets a thread of its own begin with a message; what answers it goes along, in a room what is said after it. */
    Done split(SignedIn me, UUID commandId, UUID threadId, UUID messageId) {
        UUID owner = me.accountId();
        StoredThread thread = threads.get(owner, threadId);
        StoredMessage message = messages.byId(owner, messageId)
                .filter(found -> found.threadId().equals(threadId))
                .orElseThrow(() -> Refusal.notFound("message"));
        if (messages.threadingInThread(owner, threadId).get(0).id().equals(messageId)) {
            throw Refusal.invalid("The thread begins with this message already. Nothing was changed.");
        }
        return commands.run(me, commandId, "thread-split", changes -> {
            Shape before = shape(owner, messageId);
            Shape after = new Shape(true, List.of());
            write(owner, message, after, before);
            changes.record(SubjectType.THREAD_SHAPE, messageId, before, after)
                    .label("Split in two: " + thread.subject())
                    .touch(Topic.THREADS, Topic.INTAKE, Topic.FOLLOW_UPS);
        });
    }

    /** Joins threads of one channel into one; those of rooms, of one room. */
    Done join(SignedIn me, UUID commandId, List<UUID> threadIds) {
        UUID owner = me.accountId();
        List<StoredThread> all = new LinkedHashSet<>(threadIds)
                .stream().map(id -> threads.get(owner, id)).toList();
        if (all.size() < 2) {
            throw Refusal.invalid("Pick two threads or more to join. Nothing was changed.");
        }
        StoredThread into = all.get(0);
        for (StoredThread other : all) {
            if (other.channel() != into.channel()) {
                throw Refusal.invalid("A mail and a conversation in a room cannot be one thread. Nothing was changed.");
            }
            if (!Objects.equals(other.roomId(), into.roomId())) {
                throw Refusal.invalid("Conversations of two rooms cannot be one thread. Nothing was changed.");
            }
        }
        return commands.run(me, commandId, "threads-joined", changes -> {
            for (StoredThread other : all.subList(1, all.size())) {
                joinWithin(owner, into.id(), other.id(), changes);
            }
            changes.label("Joined: " + into.subject()
                            + (all.size() == 2
                                    ? " and " + all.get(1).subject()
                                    : " and " + (all.size() - 1) + " others"))
                    .touch(Topic.THREADS, Topic.INTAKE, Topic.FOLLOW_UPS);
        });
    }

    private void joinWithin(UUID owner, UUID into, UUID other, Changes changes) {
        // Where messages of both stand may have changed with the join before.
        List<ThreadingRow> mine = messages.threadingInThread(owner, into);
        List<ThreadingRow> theirs = messages.threadingInThread(owner, other);
        if (mine.isEmpty() || theirs.isEmpty()) {
            return;
        }
        UUID first = theirs.get(0).id();
        UUID with = mine.get(0).id();
        Shape before = shape(owner, first);
        List<UUID> joined = new ArrayList<>(before.with());
        joined.add(with);
        // What was split off and is joined to where it came from is as if it had never been split.
        Shape after = new Shape(before.cut() && !isCutFrom(owner, first, with), joined);
        StoredMessage message = messages.byId(owner, first).orElseThrow(() -> Refusal.notFound("message"));
        write(owner, message, after, before);
        changes.record(SubjectType.THREAD_SHAPE, first, before, after);
    }

    /** Whether two messages would be of one thread but for the split. */
    private boolean isCutFrom(UUID owner, UUID messageId, UUID other) {
        Optional<StoredMessage> one = messages.byId(owner, messageId);
        Optional<StoredMessage> two = messages.byId(owner, other);
        return one.isPresent()
                && two.isPresent()
                && one.get().channel() == Channel.MAIL
                && one.get().component().equals(two.get().component());
    }

    private Shape shape(UUID owner, UUID messageId) {
        List<ThreadShape> own = store.shapes(owner).stream()
                .filter(shape -> shape.messageId().equals(messageId))
                .toList();
        return new Shape(
                own.stream().anyMatch(ThreadShape::cuts),
                own.stream()
                        .map(ThreadShape::withMessage)
                        .filter(Objects::nonNull)
                        .toList());
    }

    private void write(UUID owner, StoredMessage message, Shape shape, Shape before) {
        store.deleteShapes(owner, message.id());
        if (shape.cut()) {
            store.insertShape(owner, new ThreadShape(message.id(), null), clock.instant());
        }
        shape.with().forEach(with -> store.insertShape(owner, new ThreadShape(message.id(), with), clock.instant()));
        List<StoredMessage> concerned = new ArrayList<>(List.of(message));
        LinkedHashSet<UUID> others = new LinkedHashSet<>(shape.with());
        others.addAll(before.with());
        others.forEach(id -> messages.byId(owner, id).ifPresent(concerned::add));
        reshaped.again(owner, concerned);
    }

    @Override
    public SubjectType type() {
        return SubjectType.THREAD_SHAPE;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return shape(owner, entry.subjectId());
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        Optional<StoredMessage> message = messages.byId(owner, entry.subjectId());
        if (entry.before() != null && message.isPresent()) {
            write(owner, message.get(), json.readValue(entry.before(), Shape.class), shape(owner, entry.subjectId()));
            changes.touch(Topic.THREADS, Topic.INTAKE, Topic.FOLLOW_UPS);
        }
    }
}
