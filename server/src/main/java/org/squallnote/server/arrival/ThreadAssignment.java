package org.squallnote.server.arrival;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.ShapedThreads;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;

/**
 * Gives computed threads their identifiers: a thread keeps the one that most of its messages had before. When two
 * threads become one, a decision made by hand goes with the messages.
 */
@Component
class ThreadAssignment {

    private final MessageStore messages;
    private final ThreadStore threads;
    private final ThreadTurns turns;
    private final UuidV7 ids;

    ThreadAssignment(MessageStore messages, ThreadStore threads, ThreadTurns turns, UuidV7 ids) {
        this.messages = messages;
        this.threads = threads;
        this.turns = turns;
        this.ids = ids;
    }

    /**
     * Writes the assignment; answers the threads that hold these messages now and have something new.
     *
     * @param fresh whether a message has just been stored: where it stands is only a guess, which gives no thread its
     *     identifier as long as others have it
     */
    Set<UUID> assign(UUID owner, List<List<ThreadingRow>> byProtocol, Predicate<ThreadingRow> fresh) {
        List<List<ThreadingRow>> computed = ShapedThreads.of(byProtocol, threads.shapes(owner));
        Set<UUID> given = computed.stream()
                .flatMap(List::stream)
                .filter(fresh.negate())
                .map(ThreadingRow::threadId)
                .collect(Collectors.toSet());
        Set<UUID> claimed = new HashSet<>();
        Map<UUID, UUID> left = new HashMap<>();
        Set<UUID> touched = new HashSet<>();
        List<List<ThreadingRow>> largestFirst = computed.stream()
                .sorted(Comparator.comparingInt((List<ThreadingRow> rows) -> rows.size())
                        .reversed())
                .toList();
        for (List<ThreadingRow> rows : largestFirst) {
            UUID threadId = mostCommon(rows, row -> !fresh.test(row) && !claimed.contains(row.threadId()))
                    .or(() -> mostCommon(rows, row -> isFree(row.threadId(), given, claimed)))
                    .orElseGet(ids::next);
            claimed.add(threadId);
            for (ThreadingRow row : rows) {
                boolean moves = !row.threadId().equals(threadId);
                if (moves) {
                    messages.setThread(owner, row.id(), threadId);
                }
                if (moves && !fresh.test(row)) {
                    left.put(row.threadId(), threadId);
                    takeDecisionAlong(owner, row.threadId(), threadId);
                }
                if (moves || fresh.test(row)) {
                    touched.add(threadId);
                }
            }
        }
        Set<UUID> smaller = new HashSet<>();
        left.forEach((threadId, other) -> {
            if (threads.deleteEmpty(owner, threadId) > 0) {
                turns.gone(owner, threadId, other);
            } else {
                smaller.add(threadId);
            }
        });
        touched.addAll(smaller);
        touched.forEach(threadId -> turns.refresh(owner, threadId));
        return touched;
    }

    private static boolean isFree(UUID threadId, Set<UUID> given, Set<UUID> claimed) {
        return !threadId.equals(MailThreads.UNTHREADED) && !given.contains(threadId) && !claimed.contains(threadId);
    }

    private static Optional<UUID> mostCommon(List<ThreadingRow> rows, Predicate<ThreadingRow> counting) {
        Map<UUID, Integer> counts = new HashMap<>();
        rows.stream().filter(counting).forEach(row -> counts.merge(row.threadId(), 1, Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.<UUID, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey);
    }

    private void takeDecisionAlong(UUID owner, UUID from, UUID to) {
        Optional<StoredThread> old = threads.byId(owner, from)
                .filter(thread -> thread.handTurn() != null || thread.attention() != Attention.MINE);
        Optional<StoredThread> target = threads.byId(owner, to);
        if (old.isPresent() && target.isPresent() && target.get().attention() == Attention.MINE) {
            threads.setAttention(owner, to, old.get().attention());
        }
        if (old.isPresent()
                && old.get().handTurn() != null
                && target.isPresent()
                && target.get().handTurn() == null) {
            StoredThread decided = old.get();
            threads.setHandDecision(
                    owner, to, decided.handTurn(), decided.handReason(), decided.handAt(), decided.handLastKnown());
        }
    }
}
