package org.squallnote.formats.calendar;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.Freq;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;

/**
 * A rule of repetition (RFC 5545 section 3.3.10), worked out by the library lib-recur in the time of the wall clock, as
 * the standard wants it.
 */
final class SeriesRule {

    /** More steps than these are not gone for one rule, whatever it says. */
    private static final int MOST_STEPS = 50_000;

    /** Whatever repeats less often than this does not repeat for anybody who reads this. */
    private static final int LONGEST_INTERVAL = 10_000;

    private final RecurrenceRule rule;

    private SeriesRule(RecurrenceRule rule) {
        this.rule = rule;
    }

    /** @throws UnreadableEventException when it is no rule */
    static SeriesRule read(String text) throws UnreadableEventException {
        try {
            return new SeriesRule(new RecurrenceRule(text.strip(), RecurrenceRule.RfcMode.RFC2445_LAX));
        } catch (InvalidRecurrenceRuleException | IllegalArgumentException e) {
            throw new UnreadableEventException("Its rule of repetition cannot be read", e);
        }
    }

    /**
     * The times on the wall clock of the series' zone.
     *
     * @param start the first, which belongs to the series whatever the rule says
     * @param from what is before is left out
     * @param to what is at or after it is left out
     * @param most no more than these
     */
    List<LocalDateTime> times(Moment start, ZoneRules own, LocalDateTime from, LocalDateTime to, int most) {
        List<LocalDateTime> times = new ArrayList<>();
        if (rule.getInterval() > LONGEST_INTERVAL) {
            return times;
        }
        try {
            RecurrenceRule ending = ending(start, own);
            RecurrenceRuleIterator iterator = ending.iterator(dateTime(start.local(), start.dateOnly()));
            // What repeats each minute has no years behind it; looking for where they end would take seconds.
            boolean often = rule.getFreq() == Freq.SECONDLY || rule.getFreq() == Freq.MINUTELY;
            if (from.isAfter(start.local()) && !often) {
                iterator.fastForward(dateTime(from, start.dateOnly()));
            }
            for (int step = 0; step < MOST_STEPS && times.size() < most && iterator.hasNext(); step++) {
                LocalDateTime time = local(iterator.nextDateTime());
                if (!time.isBefore(to)) {
                    break;
                }
                if (!time.isBefore(from)) {
                    times.add(time);
                }
            }
        } catch (IllegalArgumentException | ArithmeticException e) {
            // A rule that contradicts its start gives no more times than it has given.
            return times;
        }
        return times;
    }

    /** The rule with its end on the clock that the series is counted by. */
    private RecurrenceRule ending(Moment start, ZoneRules own) {
        DateTime until = rule.getUntil();
        if (until == null) {
            return rule;
        }
        LocalDateTime end = until.isAllDay()
                ? local(until).toLocalDate().atTime(23, 59, 59)
                : until.isFloating()
                        ? local(until)
                        : onTheWall(until, start.zone().orElse(own));
        try {
            RecurrenceRule copy = new RecurrenceRule(rule.toString(), RecurrenceRule.RfcMode.RFC2445_LAX);
            copy.setUntil(dateTime(end, start.dateOnly()));
            return copy;
        } catch (InvalidRecurrenceRuleException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static LocalDateTime onTheWall(DateTime utc, ZoneRules rules) {
        Instant at = Instant.ofEpochMilli(utc.getTimestamp());
        return LocalDateTime.ofEpochSecond(at.getEpochSecond(), 0, rules.getOffset(at));
    }

    private static DateTime dateTime(LocalDateTime local, boolean dateOnly) {
        return dateOnly
                ? new DateTime(local.getYear(), local.getMonthValue() - 1, local.getDayOfMonth())
                : new DateTime(
                        local.getYear(),
                        local.getMonthValue() - 1,
                        local.getDayOfMonth(),
                        local.getHour(),
                        local.getMinute(),
                        local.getSecond());
    }

    private static LocalDateTime local(DateTime time) {
        return time.isAllDay()
                ? LocalDateTime.of(time.getYear(), time.getMonth() + 1, time.getDayOfMonth(), 0, 0)
                : LocalDateTime.of(
                        time.getYear(),
                        time.getMonth() + 1,
                        time.getDayOfMonth(),
                        time.getHours(),
                        time.getMinutes(),
                        time.getSeconds());
    }
}
