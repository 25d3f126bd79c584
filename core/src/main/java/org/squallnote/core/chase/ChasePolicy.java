package org.squallnote.core.chase;

/**
 * After how many working days somebody is reminded.
 *
 * @param first after my last message to them
 * @param then after each reminder
 * @param afterPromise after the day that they promised, or that I named
 */
public record ChasePolicy(int first, int then, int afterPromise) {

    /** What holds until somebody says otherwise. */
    public static final ChasePolicy USUAL = new ChasePolicy(3, 2, 1);

    private static final int MOST_DAYS = 60;

    /** Checks that they are days. */
    public ChasePolicy {
        if (first < 1
                || then < 1
                || afterPromise < 0
                || first > MOST_DAYS
                || then > MOST_DAYS
                || afterPromise > MOST_DAYS) {
            throw new IllegalArgumentException("Somebody is chased after 1 to " + MOST_DAYS + " working days.");
        }
    }
}
