package org.squallnote.core.plan;

import java.util.ArrayList;
import java.util.List;

/**
 * What is planned for a day, poured into the room it has, in the order of the list.
 *
 * @param roomMinutes how much it holds
 * @param plannedMinutes how much was poured
 * @param fits for each in order whether it is below the rim as a whole
 */
public record Glass(int roomMinutes, int plannedMinutes, List<Boolean> fits) {

    /** Copies the list. */
    public Glass {
        fits = List.copyOf(fits);
    }

    /** Pours. */
    public static Glass of(int roomMinutes, List<Integer> minutes) {
        List<Boolean> fits = new ArrayList<>(minutes.size());
        int level = 0;
        for (int each : minutes) {
            level += each;
            fits.add(level <= roomMinutes);
        }
        return new Glass(roomMinutes, level, fits);
    }

    /** How much is too much. */
    public int overMinutes() {
        return Math.max(0, plannedMinutes - roomMinutes);
    }

    /** How much is left. */
    public int leftMinutes() {
        return Math.max(0, roomMinutes - plannedMinutes);
    }
}
