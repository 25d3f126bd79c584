package org.squallnote.core.followup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.time.ReplyBy;

/** How far away a reply-by date is, in the spans that people speak of; in the order in which they are shown. */
public enum DueSpan {
    LATE,
    TODAY,
    TOMORROW,
    /** Up to and with Sunday. */
    THIS_WEEK,
    /** From Monday to Sunday. */
    NEXT_WEEK,
    AFTER_THAT,
    UNDATED;

    /** The span of a date at a local moment; a date that was over earlier today is late. */
    public static DueSpan of(Optional<ReplyBy> replyBy, LocalDateTime now) {
        if (replyBy.isEmpty()) {
            return UNDATED;
        }
        if (replyBy.get().isLate(now)) {
            return LATE;
        }
        LocalDate day = replyBy.get().day();
        LocalDate today = now.toLocalDate();
        LocalDate sunday = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
        if (day.equals(today)) {
            return TODAY;
        }
        if (day.equals(today.plusDays(1))) {
            return TOMORROW;
        }
        if (!day.isAfter(sunday)) {
            return THIS_WEEK;
        }
        return day.isAfter(sunday.plusWeeks(1)) ? AFTER_THAT : NEXT_WEEK;
    }
}
