package org.squallnote.server.arrival;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.ChatConversations;
import org.squallnote.store.message.MessageStore;

/**
 * The part of a room that has to be cut into conversations again when messages arrive: the talk around them up to the
 * quiet hours at both ends, what is answered from there or answers it, and all of the conversations that reach in. Cut
 * by itself it gives what the whole room would give, so that it does not matter in which order messages arrive.
 */
final class RoomRegion {

    private static final Duration FIRST_LOOK = Duration.ofDays(1);

    /** A room that is never quiet is cut at this many messages. */
    private static final int MOST = 5_000;

    private final MessageStore messages;
    private final UUID owner;
    private final String roomId;
    private final Map<String, ThreadingRow> rows = new TreeMap<>();
    private final List<Stretch> looked = new ArrayList<>();
    private final Set<UUID> threads = new HashSet<>();
    private final Set<String> unknown = new HashSet<>();

    private record Stretch(Instant from, Instant to) {
        boolean holds(Instant moment) {
            return !moment.isBefore(from) && !moment.isAfter(to);
        }
    }

    RoomRegion(MessageStore messages, UUID owner, String roomId) {
        this.messages = messages;
        this.owner = owner;
        this.roomId = roomId;
        threads.add(MailThreads.UNTHREADED);
    }

    /** The messages that the arrival of these concerns, by their event ids; these are among them. */
    Map<String, ThreadingRow> around(List<StoredMessage> fresh) {
        Instant first = fresh.stream()
                .map(StoredMessage::sentAt)
                .min(Instant::compareTo)
                .orElseThrow();
        Instant last = fresh.stream()
                .map(StoredMessage::sentAt)
                .max(Instant::compareTo)
                .orElseThrow();
        addStretch(first, last);
        Set<UUID> reaching = new HashSet<>(messages.threadsAnswering(
                owner, roomId, fresh.stream().map(StoredMessage::messageId).toList()));
        while (true) {
            reaching.addAll(answeredFromHere());
            rows.values().forEach(row -> reaching.add(row.threadId()));
            reaching.removeIf(thread -> !threads.add(thread));
            if (reaching.isEmpty() || rows.size() > MOST) {
                return rows;
            }
            List<ThreadingRow> whole = messages.threadingInThreads(owner, reaching);
            reaching.clear();
            whole.forEach(row -> rows.putIfAbsent(row.messageId(), row));
            whole.stream()
                    .filter(row -> !isInThread(row))
                    .map(ThreadingRow::sentAt)
                    .forEach(moment -> {
                        if (looked.stream().noneMatch(stretch -> stretch.holds(moment))) {
                            addStretch(moment, moment);
                        }
                    });
        }
    }

    /** The root of the protocol's thread that a message of a room belongs to. */
    static Optional<String> rootOf(ThreadingRow row) {
        return row.refs().list().stream().findFirst();
    }

    private static boolean isInThread(ThreadingRow row) {
        return rootOf(row).isPresent();
    }

    /** The threads of what is answered from here and is not here yet. */
    private Set<UUID> answeredFromHere() {
        Set<UUID> found = new HashSet<>();
        for (ThreadingRow row : rows.values()) {
            Stream.concat(rootOf(row).stream(), Optional.ofNullable(row.answers()).stream())
                    .filter(id -> !rows.containsKey(id) && unknown.add(id))
                    .forEach(id -> messages.byIdentity(owner, ChatArrivals.identity(id))
                            .ifPresent(message -> found.add(message.threadId())));
        }
        return found;
    }

    /** Adds the talk around a stretch of time, up to where the room was quiet. */
    private void addStretch(Instant first, Instant last) {
        Duration look = FIRST_LOOK;
        while (true) {
            Instant from = first.minus(look);
            Instant to = last.plus(look);
            List<ThreadingRow> found = messages.inRoom(owner, roomId, from, to);
            List<Instant> talk = found.stream()
                    .filter(row -> !isInThread(row))
                    .map(ThreadingRow::sentAt)
                    .toList();
            Optional<Instant> begin = quietBefore(talk, first, from);
            Optional<Instant> end = quietAfter(talk, last, to);
            if ((begin.isPresent() && end.isPresent()) || found.size() > MOST) {
                Stretch stretch = new Stretch(begin.orElse(from), end.orElse(to));
                looked.add(stretch);
                found.stream()
                        .filter(row -> stretch.holds(row.sentAt()))
                        .forEach(row -> rows.putIfAbsent(row.messageId(), row));
                return;
            }
            look = look.multipliedBy(4);
        }
    }

    /** The first moment of the talk that goes on until then, where it began within what was looked at. */
    private static Optional<Instant> quietBefore(List<Instant> talk, Instant until, Instant from) {
        Instant begin = until;
        for (int i = talk.size() - 1; i >= 0; i--) {
            if (!talk.get(i).isAfter(begin)) {
                if (ChatConversations.isQuiet(talk.get(i), begin)) {
                    return Optional.of(begin);
                }
                begin = talk.get(i);
            }
        }
        return ChatConversations.isQuiet(from, begin) ? Optional.of(begin) : Optional.empty();
    }

    private static Optional<Instant> quietAfter(List<Instant> talk, Instant since, Instant to) {
        Instant end = since;
        for (Instant moment : talk) {
            if (!moment.isBefore(end)) {
                if (ChatConversations.isQuiet(end, moment)) {
                    return Optional.of(end);
                }
                end = moment;
            }
        }
        return ChatConversations.isQuiet(end, to) ? Optional.of(end) : Optional.empty();
    }
}
