package org.squallnote.core.followup;

import java.time.LocalDate;

/** What is the matter with an open follow-up, in the order in which it is shown. */
public enum OpenState {
    /** My answer was seen: is it done? */
    ANSWERED,
    /** What it waited for has come. */
    BACK,
    TO_DO,
    WAITING,
    PUT_OFF;

    /** That of an open follow-up on a day. */
    public static OpenState of(FollowUp followUp, LocalDate today) {
        if (followUp.isWaiting(today)) {
            return WAITING;
        }
        if (followUp.isLater(today)) {
            return PUT_OFF;
        }
        if (followUp.answerSeen() != null) {
            return ANSWERED;
        }
        return followUp.isBack(today) ? BACK : TO_DO;
    }
}
