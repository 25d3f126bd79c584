package org.squallnote.core.repetition;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.WorkingTime;

/**
 * How something comes back.
 *
 * @param rule a rule that gives days (RFC 5545 section 3.3.10), without an end: {@code FREQ=WEEKLY;INTERVAL=2;BYDAY=TU}
 * @param whenDone whether it is counted from the day when the one before was done, and not from a fixed day
 * @param daysOff what becomes of days on which nobody works
 * @param until the last day, where there is one
 * @param times how often, where that is said
 * @param daysBefore so many days before its own day each comes in sight; null leaves that to the rule
 */
public record Repetition(
        String rule,
        boolean whenDone,
        DaysOff daysOff,
        @Nullable LocalDate until,
        @Nullable Integer times,
        @Nullable Integer daysBefore) {

    /** Whoever works on no day at all has left all out after so many. */
    private static final int MOST_LEFT_OUT = 1000;

    private static final Map<String, Integer> USUAL_DAYS_BEFORE =
            Map.of("DAILY", 0, "WEEKLY", 2, "MONTHLY", 7, "YEARLY", 21);

    /**
     * Checks the rule.
     *
     * @throws IllegalArgumentException when it is none that gives days
     */
    public Repetition {
        rule = DayRule.of(DayRule.parts(rule))
                .orElseThrow(() -> new IllegalArgumentException("This is no rule that gives days."))
                .text();
    }

    private DayRule days() {
        return new DayRule(rule);
    }

    /**
     * The first time, on or after a day. Where weeks, months or years are left out they are counted from it.
     *
     * @return absent when the rule gives none
     */
    public Optional<Occurrence> first(LocalDate from, WorkingTime workingTime) {
        return firstOf(days().eachTime().days(from, from), from, new Occurrence(from, from, 0), workingTime);
    }

    /**
     * The time after one.
     *
     * @param since the day of the first
     * @param current the one that ends; its number may have been its last
     * @param endedOn when it ended; times that have passed until then are left out
     * @return absent when it was the last
     */
    public Optional<Occurrence> next(LocalDate since, Occurrence current, LocalDate endedOn, WorkingTime workingTime) {
        if (times != null && current.number() >= times) {
            return Optional.empty();
        }
        if (whenDone) {
            LocalDate after = endedOn.plusDays(1);
            return firstOf(days().days(endedOn, after), after, current, workingTime);
        }
        LocalDate after = current.on().plusDays(1);
        LocalDate from = after.isBefore(endedOn) ? endedOn : after;
        return firstOf(days().days(since, from), from, current, workingTime);
    }

    /** The first times from a day on, as if each were done on its day. */
    public List<Occurrence> upcoming(LocalDate from, int most, WorkingTime workingTime) {
        List<Occurrence> found = new ArrayList<>();
        Optional<Occurrence> each = first(from, workingTime);
        while (each.isPresent() && found.size() < most) {
            found.add(each.get());
            each = next(found.get(0).on(), each.get(), each.get().day(), workingTime);
        }
        return found;
    }

    private Optional<Occurrence> firstOf(
            Iterator<LocalDate> days, LocalDate from, Occurrence before, WorkingTime workingTime) {
        for (int tried = 0; tried < MOST_LEFT_OUT && days.hasNext(); tried++) {
            LocalDate on = days.next();
            if (until != null && on.isAfter(until)) {
                return Optional.empty();
            }
            LocalDate day = moved(on, workingTime);
            boolean leftOut = daysOff == DaysOff.LEFT_OUT && !workingTime.isWorkingDay(on);
            // Two days off in a row may lead to one working day, and one back to before it was asked for.
            boolean again = !whenDone && before.number() > 0 && !day.isAfter(before.day());
            if (!leftOut && !again && !day.isBefore(from)) {
                return Optional.of(new Occurrence(on, day, before.number() + 1));
            }
        }
        return Optional.empty();
    }

    private LocalDate moved(LocalDate on, WorkingTime workingTime) {
        return switch (daysOff) {
            case KEPT, LEFT_OUT -> on;
            case WORKING_DAY_AFTER -> workingTime.onOrAfter(on);
            case WORKING_DAY_BEFORE -> workingTime.onOrBefore(on);
        };
    }

    /** From when on one is in sight. */
    public LocalDate inSight(Occurrence one) {
        Map<String, String> parts = days().parts();
        int usual = USUAL_DAYS_BEFORE.getOrDefault(parts.getOrDefault("FREQ", ""), 0);
        return one.day().minusDays(daysBefore == null ? usual : daysBefore);
    }
}
