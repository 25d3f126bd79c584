package org.squallnote.core.chase;

/** When somebody reminds others, and with which words. */
public record ChaseWishes(ChasePolicy policy, ChaseLetter.Words words) {

    /** Until somebody chooses otherwise. */
    public static final ChaseWishes USUAL = new ChaseWishes(ChasePolicy.USUAL, ChaseLetter.Words.USUAL);
}
