package org.squallnote.core.spent;

/**
 * How spent time is rounded.
 *
 * @param minutes to a multiple of so many; 1 leaves it as it is
 * @param up always up, else to the nearest
 * @param byDay what was spent on one follow-up in a day is taken together before it is rounded
 */
public record Rounding(int minutes, boolean up, boolean byDay) {

    /** The largest step. */
    public static final int LARGEST = 120;

    /** As it was measured. */
    public static final Rounding NONE = new Rounding(1, false, false);

    /** @throws IllegalArgumentException when the step is not from 1 to {@link #LARGEST} minutes */
    public Rounding {
        if (minutes < 1 || minutes > LARGEST) {
            throw new IllegalArgumentException("Time is rounded to 1 to " + LARGEST + " minutes.");
        }
    }

    /** Some minutes, rounded; of half a step up. */
    public int of(int spent) {
        int over = spent % minutes;
        if (over == 0) {
            return spent;
        }
        return up || over * 2 >= minutes ? spent - over + minutes : spent - over;
    }
}
