package org.squallnote.server.thread;

import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers threads with what their rows and pages show. */
@Component
class ThreadPages {

    private static final int PAGE = 100;

    private final ThreadStore store;
    private final MessageStore messages;
    private final SourceStore sources;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ThreadPages(ThreadStore store, MessageStore messages, SourceStore sources, WorkingTimes workingTimes, Clock clock) {
        this.store = store;
        this.messages = messages;
        this.sources = sources;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Some threads, and whether there are more. */
    record Page(List<ThreadLine> lines, boolean more) {}

    /** How many threads there are with each. */
    Map<Turn, Integer> counts(UUID owner) {
        Map<Turn, Integer> counts = new EnumMap<>(Turn.class);
        for (Turn each : Turn.values()) {
            counts.put(each, store.count(owner, each));
        }
        return counts;
    }

    Page page(UUID owner, Turn turn, int offset, ThreadLines lines) {
        List<StoredThread> found = store.byTurn(owner, turn, Math.max(offset, 0), PAGE + 1);
        List<StoredThread> shown = found.subList(0, Math.min(PAGE, found.size()));
        Map<UUID, List<ThreadingRow>> rows = new HashMap<>();
        if (!shown.isEmpty()) {
            messages.threadingInThreads(
                            owner, shown.stream().map(StoredThread::id).toList())
                    .forEach(row -> rows.computeIfAbsent(row.threadId(), id -> new ArrayList<>())
                            .add(row));
        }
        List<ThreadLine> all = shown.stream()
                .map(thread -> lines.of(thread, rows.getOrDefault(thread.id(), List.of())))
                .toList();
        return new Page(all, found.size() > PAGE);
    }

    /** What all rows of one answer share. */
    ThreadLines lines(UUID owner) {
        return new ThreadLines(
                Set.copyOf(sources.addresses(owner)),
                sources.allRooms(owner).stream()
                        .collect(Collectors.toMap(ChatRoom::roomId, Function.identity(), (a, b) -> a)),
                workingTimes.of(owner),
                clock.instant());
    }

    ThreadLine line(StoredThread thread, ThreadLines lines) {
        return lines.of(thread, messages.threadingInThread(thread.owner(), thread.id()));
    }

    /** The messages of a thread in sent order. */
    List<StoredMessage> messages(StoredThread thread) {
        return messages.inThread(thread.owner(), thread.id());
    }

    /** What was answered by a sign alone, by the event that it answers. */
    Map<String, List<String>> reactions(StoredThread thread) {
        Map<String, List<String>> reactions = new HashMap<>();
        for (Reaction reaction : messages.reactionsInThread(thread.owner(), thread.id())) {
            reactions
                    .computeIfAbsent(reaction.target(), target -> new ArrayList<>())
                    .add(reaction.content());
        }
        return reactions;
    }
}
