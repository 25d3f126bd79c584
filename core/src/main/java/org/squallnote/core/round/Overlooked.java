package org.squallnote.core.round;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;

/** Which follow-ups are easily overlooked. */
public final class Overlooked {

    /** What is put off for longer is easily forgotten. */
    public static final int LONG_DAYS = 14;

    private Overlooked() {}

    /**
     * Whether nothing will bring it back to mind: it has no date, is planned for no day, starts on none and waits for
     * nothing.
     *
     * @param planned the follow-ups that are planned for a day
     */
    public static boolean isUndated(FollowUp followUp, Set<UUID> planned, LocalDate today) {
        return followUp.state() == FollowUpState.OPEN
                && followUp.replyDay() == null
                && !planned.contains(followUp.id())
                && !followUp.isWaiting(today)
                && (followUp.startDay() == null || !followUp.startDay().isAfter(today));
    }

    /** Whether its date is over. */
    public static boolean isLate(FollowUp followUp, LocalDateTime now) {
        return followUp.state() == FollowUpState.OPEN
                && followUp.replyBy().filter(by -> by.isLate(now)).isPresent();
    }

    /** Whether it is out of sight for long. */
    public static boolean isPutOffLong(FollowUp followUp, LocalDate today) {
        return followUp.state() == FollowUpState.OPEN
                && followUp.startDay() != null
                && followUp.startDay().isAfter(today.plusDays(LONG_DAYS));
    }
}
