package org.squallnote.core.followup;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The order that somebody gave to follow-ups by hand: numbers with room between them, so that a move changes the number
 * of what was moved and mostly of nothing else. What has no number stands behind, by its date.
 */
public final class HandOrder {

    private static final long STEP = 1L << 20;

    private HandOrder() {}

    /**
     * The numbers that change so that some stand where they were put.
     *
     * @param order a group of the list, as it stands after the move
     * @param moved those that were moved
     * @param ranks the numbers until now
     */
    public static Map<UUID, Long> moved(List<UUID> order, Set<UUID> moved, Map<UUID, Long> ranks) {
        int last = -1;
        for (int i = 0; i < order.size(); i++) {
            if (moved.contains(order.get(i))) {
                last = i;
            }
        }
        Map<UUID, Long> changed = new HashMap<>();
        Long before = null;
        for (int i = 0; i < order.size(); i++) {
            UUID id = order.get(i);
            Long kept = moved.contains(id) ? null : ranks.get(id);
            if (kept != null && (before == null || kept > before)) {
                if (i > last) {
                    return changed;
                }
                before = kept;
            } else if (i <= last || kept != null) {
                before = between(before, i, order, moved, ranks);
                changed.put(id, before);
            } else {
                return changed;
            }
        }
        return changed;
    }

    /** A number for the one at a place, with as much room on both sides as there is. */
    private static long between(
            @Nullable Long before, int place, List<UUID> order, Set<UUID> moved, Map<UUID, Long> ranks) {
        int others = 1;
        Long after = null;
        for (int i = place + 1; i < order.size() && after == null; i++) {
            Long rank = moved.contains(order.get(i)) ? null : ranks.get(order.get(i));
            if (rank != null && (before == null || rank > before)) {
                after = rank;
            } else {
                others++;
            }
        }
        if (before == null) {
            return after == null ? 0 : after - STEP * others;
        }
        long room = after == null ? STEP : Math.min(STEP, (after - before) / (others + 1));
        return before + (room > 0 ? room : STEP);
    }
}
