package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.squallnote.core.rule.Reason;

/**
 * A date or time as written in a sentence, and what it means.
 *
 * @param fromInclusive index of its first word in the sentence
 * @param toExclusive index after its last word
 * @param day the day; of a range the last one
 * @param time the time, absent where the whole day is meant
 * @param form how it was written
 * @param named the rule that found the day; absent where only a time is named, or it was reckoned from other words
 */
public record DatePhrase(
        int fromInclusive,
        int toExclusive,
        LocalDate day,
        Optional<LocalTime> time,
        Form form,
        Optional<Reason> named) {

    /** A phrase that no rule found. */
    public DatePhrase(int fromInclusive, int toExclusive, LocalDate day, Optional<LocalTime> time, Form form) {
        this(fromInclusive, toExclusive, day, time, form, Optional.empty());
    }

    /** How a date was written, as far as it matters for what it is for. */
    public enum Form {
        /** A day, with or without a time. */
        DAY,
        /** A time without a day. */
        TIME,
        /** "within two days", "in a fortnight": a stretch from now. */
        STRETCH,
        /** "end of the week", "close of business": the end of something. */
        END,
        /** "next week", "this month": a whole week or month. */
        PERIOD,
        /** "from Monday to Wednesday". */
        RANGE,
        /** "last Friday", "yesterday", "two days ago". */
        PAST
    }

    DatePhrase to(int end) {
        return new DatePhrase(fromInclusive, end, day, time, form, named);
    }

    DatePhrase from(int start) {
        return new DatePhrase(start, toExclusive, day, time, form, named);
    }

    DatePhrase by(Optional<Reason> rule) {
        return new DatePhrase(fromInclusive, toExclusive, day, time, form, rule);
    }

    DatePhrase at(LocalTime newTime, int end) {
        return new DatePhrase(fromInclusive, end, day, Optional.of(newTime), form, named);
    }

    /** The last moment that is still in time. */
    public LocalDateTime end() {
        return time.map(day::atTime).orElseGet(() -> day.atTime(LocalTime.MAX));
    }

    /**
     * What "before" it means: before a time that time; before a day the last working day before it; before the end of
     * something, that end.
     */
    public DatePhrase before(DateContext context) {
        if (time.isPresent() || form == Form.END) {
            return this;
        }
        LocalDate first = form == Form.PERIOD ? context.today() : day.minusDays(1);
        if (form == Form.PERIOD) {
            // "before next week", "before the weekend": the last working day of the week that runs.
            LocalDate start = day.with(java.time.temporal.TemporalAdjusters.previousOrSame(java.time.DayOfWeek.MONDAY));
            first = start.isAfter(context.today()) ? start.minusDays(1) : day;
        }
        return new DatePhrase(fromInclusive, toExclusive, context.lastDayUpTo(first), Optional.empty(), form);
    }
}
