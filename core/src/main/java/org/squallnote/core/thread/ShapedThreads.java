package org.squallnote.core.thread;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.ThreadingRow;

/**
 * Threads as they are computed, split and joined as was said by hand. What is computed stays underneath: without a word it
 * is what it was, and the result does not depend on the order in which messages arrive.
 */
public final class ShapedThreads {

    private static final Comparator<ThreadingRow> IN_SENT_ORDER =
            Comparator.comparing(ThreadingRow::sentAt).thenComparing(ThreadingRow::id);

    private ShapedThreads() {}

    /**
     * The threads.
     *
     * @param computed as the protocol relates their messages
     * @param shapes what was said by hand; what concerns none of these messages is left alone
     */
    public static List<List<ThreadingRow>> of(List<List<ThreadingRow>> computed, List<ThreadShape> shapes) {
        if (shapes.isEmpty()) {
            return computed;
        }
        Set<UUID> cuts = new HashSet<>();
        shapes.stream().filter(ThreadShape::cuts).map(ThreadShape::messageId).forEach(cuts::add);
        List<List<ThreadingRow>> split = new ArrayList<>();
        computed.forEach(thread -> split.addAll(split(thread, cuts)));
        return joined(split, shapes);
    }

    /** Each cut message takes along what answers it; in a room, what is said after it. */
    private static List<List<ThreadingRow>> split(List<ThreadingRow> thread, Set<UUID> cuts) {
        if (thread.stream().noneMatch(row -> cuts.contains(row.id()))) {
            return List.of(thread);
        }
        List<ThreadingRow> inOrder = new ArrayList<>(thread);
        inOrder.sort(IN_SENT_ORDER);
        Map<UUID, List<ThreadingRow>> parts = new LinkedHashMap<>();
        Map<String, UUID> partOf = new HashMap<>();
        UUID first = inOrder.get(0).id();
        UUID running = first;
        for (ThreadingRow row : inOrder) {
            UUID part = row.channel() == Channel.CHAT ? running : partOfAnswered(row, partOf, first);
            if (cuts.contains(row.id())) {
                part = row.id();
                running = row.id();
            }
            partOf.put(row.messageId(), part);
            parts.computeIfAbsent(part, any -> new ArrayList<>()).add(row);
        }
        return List.copyOf(parts.values());
    }

    /** The part of the nearest message that it answers. */
    private static UUID partOfAnswered(ThreadingRow row, Map<String, UUID> partOf, UUID first) {
        List<String> refs = row.refs().list();
        for (int i = refs.size() - 1; i >= 0; i--) {
            UUID part = partOf.get(refs.get(i));
            if (part != null) {
                return part;
            }
        }
        return first;
    }

    private static List<List<ThreadingRow>> joined(List<List<ThreadingRow>> threads, List<ThreadShape> shapes) {
        Map<UUID, Integer> place = new HashMap<>();
        int[] root = new int[threads.size()];
        for (int i = 0; i < threads.size(); i++) {
            root[i] = i;
            for (ThreadingRow row : threads.get(i)) {
                place.put(row.id(), i);
            }
        }
        for (ThreadShape shape : shapes) {
            Integer one = place.get(shape.messageId());
            Integer other = shape.withMessage() == null ? null : place.get(shape.withMessage());
            if (one != null && other != null) {
                root[find(root, one)] = find(root, other);
            }
        }
        Map<Integer, List<ThreadingRow>> groups = new LinkedHashMap<>();
        for (int i = 0; i < threads.size(); i++) {
            groups.computeIfAbsent(find(root, i), any -> new ArrayList<>()).addAll(threads.get(i));
        }
        return List.copyOf(groups.values());
    }

    private static int find(int[] root, int at) {
        int top = at;
        while (root[top] != top) {
            root[top] = root[root[top]];
            top = root[top];
        }
        return top;
    }
}
