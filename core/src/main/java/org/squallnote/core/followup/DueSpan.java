package org.squallnote.core.followup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

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

    /**
     * The day that is meant when something is put into this span: its last working day; absent where no day is meant.
     */
    public Optional<LocalDate> day(LocalDate today, WorkingTime workingTime) {
        LocalDate sunday = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
        return switch (this) {
            case TODAY -> Optional.of(today);
            case TOMORROW -> Optional.of(today.plusDays(1));
            case THIS_WEEK -> Optional.of(lastWorkingDay(today, sunday, workingTime));
            case NEXT_WEEK -> Optional.of(lastWorkingDay(sunday, sunday.plusWeeks(1), workingTime));
            case LATE, AFTER_THAT, UNDATED -> Optional.empty();
        };
    }

    private static LocalDate lastWorkingDay(LocalDate after, LocalDate last, WorkingTime workingTime) {
        LocalDate day = last;
        while (day.isAfter(after.plusDays(1)) && !workingTime.isWorkingDay(day)) {
            day = day.minusDays(1);
        }
        return day;
    }
}
