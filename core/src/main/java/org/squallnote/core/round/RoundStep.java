package org.squallnote.core.round;

/** The steps of the walk, in their order. */
public enum RoundStep {
    /** What waits in Intake. */
    INTAKE,
    /** Follow-ups without a date. */
    UNDATED,
    /** Threads in which I owe something and of which no follow-up was made. */
    WITH_ME,
    /** Promises of mine without a follow-up. */
    PROMISED,
    /** Threads in which somebody owes me something and nobody will be reminded. */
    UNCHASED,
    /** Follow-ups whose date is over. */
    LATE,
    /** What was put off for more than two weeks. */
    PUT_OFF,
    /** The meetings of the last week. */
    LAST_WEEK,
    /** The meetings of the next two weeks. */
    NEXT_WEEKS,
    /** Everybody to whom I owe something. */
    OWED,
    /** Categories that nothing uses. */
    UNUSED,
    /** Decisions that a recipe would save. */
    RECIPES,
    /** What was handed over and is not done. */
    HANDED,
    /** What the week ahead looks like. */
    AHEAD;

    /** Whether its lines are forgotten when nothing is said of them. */
    public boolean forgets() {
        return compareTo(PUT_OFF) <= 0;
    }
}
