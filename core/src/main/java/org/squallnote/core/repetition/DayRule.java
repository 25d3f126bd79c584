package org.squallnote.core.repetition;

import java.time.LocalDate;
import java.util.Collections;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;

/**
 * A rule that gives days (RFC 5545 section 3.3.10), without an end, worked out by the library lib-recur.
 *
 * @param text its parts in a fixed order: {@code FREQ=WEEKLY;INTERVAL=2;BYDAY=TU}
 */
record DayRule(String text) {

    private static final List<String> ORDER =
            List.of("FREQ", "INTERVAL", "BYMONTH", "BYWEEKNO", "BYYEARDAY", "BYMONTHDAY", "BYDAY", "BYSETPOS", "WKST");
    private static final Set<String> FREQUENCIES = Set.of("DAILY", "WEEKLY", "MONTHLY", "YEARLY");
    private static final int LONGEST = 200;
    private static final int LONGEST_INTERVAL = 1000;

    /** Where a rule gives nothing for so many years, it gives nothing. */
    private static final int LAST_YEAR = 2200;

    /**
     * The rule.
     *
     * @param parts by name; what says how it ends is none of them
     * @return absent when it is no rule, or one of parts of days
     */
    static Optional<DayRule> of(Map<String, String> parts) {
        boolean known = ORDER.containsAll(parts.keySet()) && FREQUENCIES.contains(parts.getOrDefault("FREQ", ""));
        String text = ORDER.stream()
                .filter(parts::containsKey)
                .filter(name -> !("INTERVAL".equals(name) && "1".equals(parts.get(name))))
                .map(name -> name + "=" + parts.get(name))
                .collect(Collectors.joining(";"));
        if (!known || text.length() > LONGEST) {
            return Optional.empty();
        }
        try {
            RecurrenceRule rule = new RecurrenceRule(text, RecurrenceRule.RfcMode.RFC5545_STRICT);
            return rule.getInterval() > LONGEST_INTERVAL ? Optional.empty() : Optional.of(new DayRule(text));
        } catch (InvalidRecurrenceRuleException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The parts of a rule as it is written, in capitals. */
    static Map<String, String> parts(String text) {
        Map<String, String> parts = new LinkedHashMap<>();
        for (String part : text.strip().toUpperCase(Locale.ROOT).split(";")) {
            int equals = part.indexOf('=');
            parts.put(part.substring(0, Math.max(equals, 0)), part.substring(equals + 1));
        }
        return parts;
    }

    Map<String, String> parts() {
        return parts(text);
    }

    /** The same without leaving out weeks, months or years. */
    DayRule eachTime() {
        Map<String, String> parts = parts();
        parts.remove("INTERVAL");
        return of(parts).orElse(this);
    }

    /**
     * The days from one on, in order.
     *
     * @param since from where weeks, months and years are counted
     * @param from what is before is left out
     */
    Iterator<LocalDate> days(LocalDate since, LocalDate from) {
        RecurrenceRuleIterator iterator;
        try {
            iterator = new RecurrenceRule(text, RecurrenceRule.RfcMode.RFC5545_STRICT).iterator(dateOf(since));
            if (from.isAfter(since)) {
                iterator.fastForward(dateOf(from));
            }
        } catch (IllegalArgumentException e) {
            // The library has looked for the first one as far as it goes.
            return Collections.emptyIterator();
        } catch (InvalidRecurrenceRuleException e) {
            throw new IllegalStateException("The rule " + text + " was read before and cannot be read now", e);
        }
        return new Days(iterator, from);
    }

    /** Until the rule gives no more, or only what nobody will live to see. */
    private static final class Days implements Iterator<LocalDate> {

        private final RecurrenceRuleIterator iterator;
        private final LocalDate from;
        private Optional<LocalDate> next = Optional.empty();

        Days(RecurrenceRuleIterator iterator, LocalDate from) {
            this.iterator = iterator;
            this.from = from;
        }

        @Override
        public boolean hasNext() {
            try {
                while (next.isEmpty() && iterator.hasNext()) {
                    LocalDate day = dayOf(iterator.nextDateTime());
                    if (day.getYear() > LAST_YEAR) {
                        return false;
                    }
                    next = Optional.of(day).filter(it -> !it.isBefore(from));
                }
            } catch (IllegalArgumentException | ArithmeticException e) {
                // The library looked for a next one as far as it goes.
                return false;
            }
            return next.isPresent();
        }

        @Override
        public LocalDate next() {
            if (!hasNext()) {
                throw new NoSuchElementException();
            }
            LocalDate day = next.orElseThrow();
            next = Optional.empty();
            return day;
        }
    }

    private static DateTime dateOf(LocalDate day) {
        return new DateTime(day.getYear(), day.getMonthValue() - 1, day.getDayOfMonth());
    }

    private static LocalDate dayOf(DateTime date) {
        return LocalDate.of(date.getYear(), date.getMonth() + 1, date.getDayOfMonth());
    }
}
