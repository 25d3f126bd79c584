package org.squallnote.core.followup;

import java.time.LocalDateTime;
import java.util.Optional;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/** How a follow-up's reply-by date looks from a moment. Only a firm date that is late is an alarm. */
public enum Standing {
    UNDATED,
    AHEAD,
    /** Due today or on the next working day. */
    SOON,
    LATE_FLEXIBLE,
    LATE_FIRM;

    /** The standing of a date at a local moment. */
    public static Standing of(Optional<ReplyBy> replyBy, LocalDateTime now, WorkingTime workingTime) {
        if (replyBy.isEmpty()) {
            return UNDATED;
        }
        ReplyBy by = replyBy.get();
        if (by.isLate(now)) {
            return by.firm() ? LATE_FIRM : LATE_FLEXIBLE;
        }
        boolean soon = !by.day().isAfter(workingTime.addWorkingDays(now.toLocalDate(), 1));
        return soon ? SOON : AHEAD;
    }
}
