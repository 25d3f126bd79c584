package org.squallnote.core.thread;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.ThreadingRow;

/**
 * A follow-up that was made from a message.
 *
 * @param open whether it is open
 */
public record MadeFollowUp(
        UUID messageId,
        UUID followUpId,
        boolean open,
        @Nullable UUID categoryId,
        Instant createdAt) {

    private static final Comparator<MadeFollowUp> LAST =
            Comparator.comparing(MadeFollowUp::createdAt).thenComparing(MadeFollowUp::followUpId);

    /** The messages from which one may have been made: a decision was taken about each of these. */
    public static List<UUID> decided(List<ThreadingRow> rows) {
        return rows.stream()
                .filter(row -> row.decision() != Decision.UNDECIDED && row.decision() != Decision.NOT_ASKED)
                .map(ThreadingRow::id)
                .toList();
    }

    /** What was made from each thread, by thread; those from which nothing was are left out. */
    public static Map<UUID, ThreadFollowUps> byThread(List<ThreadingRow> rows, List<MadeFollowUp> made) {
        Map<UUID, UUID> threadOf = new HashMap<>();
        rows.forEach(row -> threadOf.put(row.id(), row.threadId()));
        Map<UUID, Map<UUID, MadeFollowUp>> distinct = new HashMap<>();
        for (MadeFollowUp one : made) {
            UUID thread = threadOf.get(one.messageId());
            if (thread != null) {
                distinct.computeIfAbsent(thread, any -> new HashMap<>()).put(one.followUpId(), one);
            }
        }
        Map<UUID, ThreadFollowUps> all = new HashMap<>();
        distinct.forEach((thread, byId) -> {
            List<MadeFollowUp> ofThread = new ArrayList<>(byId.values());
            ofThread.sort(LAST.reversed());
            int open = (int) ofThread.stream().filter(MadeFollowUp::open).count();
            UUID category = null;
            for (MadeFollowUp one : ofThread) {
                category = category == null ? one.categoryId() : category;
            }
            all.put(thread, new ThreadFollowUps(thread, open, category));
        });
        return all;
    }
}
