package org.squallnote.core.figures;

import java.util.Collection;
import java.util.List;

/**
 * How some lengths of time are spread.
 *
 * @param count how many there are
 * @param medianMinutes half of them are no longer; of an even number the middle between the two in the middle, rounded
 *     down; 0 of none
 * @param p90Minutes nine of ten are no longer: the shortest for which that is so (nearest rank)
 */
public record Spread(int count, long medianMinutes, long p90Minutes) {

    /** Of lengths in minutes, in any order. */
    public static Spread of(Collection<Long> minutes) {
        List<Long> sorted = minutes.stream().sorted().toList();
        int count = sorted.size();
        if (count == 0) {
            return new Spread(0, 0, 0);
        }
        long median = count % 2 == 1
                ? sorted.get(count / 2)
                : Math.floorDiv(sorted.get(count / 2 - 1) + sorted.get(count / 2), 2);
        int rank = (count * 9 + 9) / 10;
        return new Spread(count, median, sorted.get(rank - 1));
    }
}
