package org.squallnote.core.plan;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/**
 * Something that could be done today, and why it comes up.
 *
 * @param day which day the reason speaks of, where it speaks of one
 */
public record Candidate(FollowUp followUp, Why why, Optional<LocalDate> day) {

    /** The same for another reason, unless the one that it has presses more. */
    Candidate because(Why other, LocalDate ofDay) {
        return why.compareTo(other) <= 0 ? this : new Candidate(followUp, other, Optional.of(ofDay));
    }

    /** Why something comes up; what presses first. */
    public enum Why {
        LATE_FIRM,
        LATE,
        DUE_TODAY_FIRM,
        DUE_TODAY,
        /** I said in its thread that I would by today, or by a day that is over. */
        PROMISED,
        /** What it waited for has come. */
        HAS_COME,
        /** It was planned for an earlier day and not done. */
        LEFT_OVER,
        /** It was out of sight until today. */
        PUT_OFF_UNTIL_TODAY,
        /** Somebody is to be reminded in its thread. */
        CHASE_DUE,
        /** A meeting of today or of the next working day needs it. */
        PREPARES_MEETING,
        DUE_NEXT_WORKING_DAY,
        /** There is time for it. */
        DUE_LATER,
        UNDATED;

        /** Whether it would be missed if today said nothing of it. */
        public boolean presses() {
            return compareTo(DUE_LATER) < 0;
        }
    }

    /**
     * Why an open follow-up could be done today.
     *
     * @param plan what is planned for it
     * @return absent where it is out of sight, or planned for today or a later day
     */
    public static Optional<Candidate> of(
            FollowUp followUp, Optional<Planned> plan, LocalDateTime now, WorkingTime workingTime) {
        LocalDate today = now.toLocalDate();
        if (followUp.isLater(today)
                || plan.filter(planned -> !planned.day().isBefore(today)).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(dated(followUp, now, workingTime)
                .filter(candidate -> candidate.why().compareTo(Why.PROMISED) < 0)
                .or(() -> followUp.isBack(today)
                        ? Optional.of(new Candidate(followUp, Why.HAS_COME, Optional.empty()))
                        : Optional.empty())
                .or(() -> plan.map(planned -> new Candidate(followUp, Why.LEFT_OVER, Optional.of(planned.day()))))
                .or(() -> Optional.ofNullable(followUp.startDay())
                        .filter(today::equals)
                        .map(day -> new Candidate(followUp, Why.PUT_OFF_UNTIL_TODAY, Optional.of(day))))
                .or(() -> dated(followUp, now, workingTime))
                .orElseGet(() -> new Candidate(followUp, Why.UNDATED, Optional.empty())));
    }

    private static Optional<Candidate> dated(FollowUp followUp, LocalDateTime now, WorkingTime workingTime) {
        return followUp.replyBy().map(by -> new Candidate(followUp, why(by, now, workingTime), Optional.of(by.day())));
    }

    private static Why why(ReplyBy by, LocalDateTime now, WorkingTime workingTime) {
        LocalDate today = now.toLocalDate();
        if (by.isLate(now)) {
            return by.firm() ? Why.LATE_FIRM : Why.LATE;
        }
        if (by.day().equals(today)) {
            return by.firm() ? Why.DUE_TODAY_FIRM : Why.DUE_TODAY;
        }
        return by.day().isAfter(workingTime.addWorkingDays(today, 1)) ? Why.DUE_LATER : Why.DUE_NEXT_WORKING_DAY;
    }
}
