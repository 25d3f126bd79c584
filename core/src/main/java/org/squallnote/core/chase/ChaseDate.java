package org.squallnote.core.chase;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;

/**
 * The day on which somebody is to be reminded.
 *
 * @param why what it follows from
 * @param said the day or the number that the reason speaks of, where it speaks of one
 */
public record ChaseDate(LocalDate day, Why why, Optional<LocalDate> said) {

    /** After so many reminders another one is no use: another way, or another person. */
    public static final int LAST_CHASE = 3;

    /** What a chase date follows from. */
    public enum Why {
        /** Some working days after I wrote. */
        SILENT,
        /** Some working days after the last reminder. */
        REMINDED,
        /** They promised a day. */
        PROMISED,
        /** I named a day. */
        ASKED_BY,
        /** They usually take longer. */
        USUAL,
        /** They are away. */
        AWAY,
        /** Chosen for this thread. */
        BY_HAND
    }

    /**
     * When somebody is to be reminded.
     *
     * @param usual how long they usually take, where that is known
     * @param byHand the day that was chosen for this thread
     */
    public static ChaseDate of(
            Awaited one,
            ChasePolicy policy,
            Optional<UsualTime> usual,
            Optional<LocalDate> byHand,
            WorkingTime workingTime) {
        if (byHand.isPresent()) {
            return new ChaseDate(byHand.get(), Why.BY_HAND, Optional.empty());
        }
        return afterAbsence(one, byRule(one, policy, usual, workingTime), workingTime);
    }

    private static ChaseDate byRule(
            Awaited one, ChasePolicy policy, Optional<UsualTime> usual, WorkingTime workingTime) {
        LocalDate written = one.lastHeard().atZone(workingTime.zone()).toLocalDate();
        Optional<LocalDate> named = one.by().map(LocalDateTime::toLocalDate);
        // Who was reminded after the day that they named is reminded in the rhythm of reminders.
        boolean remindedSince =
                one.chases() > 0 && named.filter(day -> !written.isAfter(day)).isEmpty();
        if (named.isPresent() && !remindedSince) {
            return new ChaseDate(
                    workingTime.addWorkingDays(named.get(), policy.afterPromise()),
                    one.promised() ? Why.PROMISED : Why.ASKED_BY,
                    named);
        }
        boolean reminded = one.chases() > 0;
        LocalDate day = workingTime.addWorkingDays(written, reminded ? policy.then() : policy.first());
        Optional<LocalDate> patience = usual.map(time -> time.overdueOn(one.lastHeard(), workingTime));
        if (patience.filter(day::isBefore).isPresent()) {
            return new ChaseDate(patience.get(), Why.USUAL, Optional.empty());
        }
        return new ChaseDate(day, reminded ? Why.REMINDED : Why.SILENT, Optional.empty());
    }

    private static ChaseDate afterAbsence(Awaited one, ChaseDate date, WorkingTime workingTime) {
        Optional<LocalDate> back = one.returnsOn().filter(day -> !date.day().isAfter(day));
        return back.map(day -> new ChaseDate(workingTime.addWorkingDays(day, 1), Why.AWAY, back))
                .orElse(date);
    }

    /** Whether it has come. */
    public boolean isDue(LocalDate today) {
        return !day.isAfter(today);
    }

    /** Whether somebody is silent for longer than they usually are, whatever the chase date. */
    public static boolean isLaterThanUsual(
            Awaited one, Optional<UsualTime> usual, WorkingTime workingTime, Instant now) {
        return usual.filter(time -> workingTime.between(one.lastHeard(), now).compareTo(time.patience()) > 0)
                .isPresent();
    }
}
