package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Days: "today", "next Tuesday", "end of the week", "within ten working days"; calendar dates are in another class. */
final class DayPhrases {

    private static final int OTHER_RULES = 7;

    private static final WordSet LIMIT_NOUNS = WordSet.of("deadline", "cut-off", "cutoff");

    private final Sentence sentence;
    private final DateContext context;
    private final CalendarDates calendar;
    private final Stretches stretches;
    private final PeriodPhrases periods;
    private final Feasts feasts;
    private final Weekdays weekdays;

    DayPhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.calendar = new CalendarDates(sentence, context);
        this.stretches = new Stretches(sentence, context);
        this.periods = new PeriodPhrases(sentence, context, this);
        this.feasts = new Feasts(sentence, context.today());
        this.weekdays = new Weekdays(sentence, context, calendar);
    }

    /** The day phrase that begins at a word. */
    Optional<DatePhrase> at(int from) {
        if (from < sentence.size()
                && sentence.at(from).isNumber()
                && !sentence.norm(from + 1).equals("thing")) {
            Optional<DatePhrase> stretch = stretches.at(from);
            return stretch.isPresent() ? stretch : calendar.at(from);
        }
        Optional<DatePhrase> found = periods.weekdayOfMonth(from);
        if (found.isEmpty()) {
            found = nearDay(from);
        }
        for (int rule = 0; rule < OTHER_RULES && found.isEmpty(); rule++) {
            found = switch (rule) {
                case 0 -> dayOfSomething(from);
                case 1 -> weekdays.at(from);
                case 2 -> periods.endOf(from);
                case 3 -> periods.weekOrMonth(from);
                case 4 -> stretches.at(from);
                case 5 -> calendar.at(from);
                default -> feasts.at(from);
            };
        }
        return found;
    }

    private Optional<DatePhrase> nearDay(int from) {
        LocalDate today = context.today();
        switch (sentence.norm(from)) {
            case "today", "tonight" -> {
                return day(from, from + 1, today);
            }
            case "tomorrow" -> {
                return day(from, from + 1, today.plusDays(1));
            }
            case "today's" -> {
                // "today's the last day", not "today's meeting".
                return sentence.norm(from + 1).equals("the") ? day(from, from + 1, today) : Optional.empty();
            }
            case "tomorrow's" -> {
                return sentence.norm(from + 1).equals("the")
                        ? day(from, from + 1, today.plusDays(1))
                        : Optional.empty();
            }
            case "yesterday" -> {
                return past(context, from, from + 1);
            }
            case "the" -> {
                return dayAfterTomorrow(from + 1).map(found -> found.from(from));
            }
            case "day" -> {
                return dayAfterTomorrow(from);
            }
            case "first", "1st" -> {
                return firstThing(from);
            }
            case "this" -> {
                // "this day", "this time next week" with its last two words.
                return sentence.at(from + 1 < sentence.size() ? from + 1 : from).is("time", "day")
                        ? thisTime(from)
                        : Optional.empty();
            }
            default -> {
                return Optional.empty();
            }
        }
    }

    /** "before Wednesday's meeting"; "Wednesday's meeting" alone may as well be the last one. */
    private Optional<DatePhrase> dayOfSomething(int from) {
        String word = sentence.norm(from);
        boolean limit = DateLeads.isLimit(sentence, from - 1) || LIMIT_NOUNS.has(sentence, from + 1);
        if (!limit || !word.endsWith("'s")) {
            return Optional.empty();
        }
        String day = word.substring(0, word.length() - 2);
        LocalDate today = context.today();
        int index = DateWords.weekdayIndex(day);
        if (index != DateWords.NONE) {
            DayOfWeek weekday = DayOfWeek.of(index);
            return day(from, from + 1, today.with(TemporalAdjusters.next(weekday)));
        }
        return day.equals("tomorrow") ? day(from, from + 1, today.plusDays(1)) : Optional.empty();
    }

    /** A day that is named by itself, without a part of it. */
    Optional<DatePhrase> plainDayAt(int from) {
        return nearDay(from).or(() -> weekdays.at(from)).or(() -> calendar.at(from));
    }

    private Optional<DatePhrase> dayAfterTomorrow(int from) {
        return sentence.norm(from).equals("day")
                        && sentence.norm(from + 1).equals("after")
                        && sentence.norm(from + 2).equals("tomorrow")
                ? day(from, from + 3, context.today().plusDays(2))
                : Optional.empty();
    }

    private Optional<DatePhrase> thisTime(int from) {
        if (sentence.norm(from + 2).equals("next") && sentence.norm(from + 3).equals("week")) {
            return day(from, from + 4, context.today().plusWeeks(1));
        }
        return sentence.norm(from + 2).equals("tomorrow")
                ? day(from, from + 3, context.today().plusDays(1))
                : Optional.empty();
    }

    /** "first thing tomorrow", "first thing on Monday (morning)": that day at the start of work. */
    private Optional<DatePhrase> firstThing(int from) {
        if (!sentence.norm(from + 1).equals("thing")) {
            return Optional.empty();
        }
        int at = from + 2;
        if (sentence.norm(at).equals("on") || sentence.norm(at).equals("in")) {
            at++;
        }
        Optional<DatePhrase> day = at(at);
        if (day.isEmpty() || day.get().form() != Form.DAY) {
            return Optional.empty();
        }
        int to = day.get().toExclusive();
        if (sentence.norm(to).equals("morning")) {
            to++;
        }
        LocalDate date = day.get().day();
        return Optional.of(day.get().from(from).at(context.startOf(date), to));
    }

    Optional<DatePhrase> weekday(int from) {
        return weekdays.at(from);
    }

    static Optional<DatePhrase> day(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.<LocalTime>empty(), Form.DAY));
    }

    static Optional<DatePhrase> end(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.empty(), Form.END));
    }

    static Optional<DatePhrase> past(DateContext context, int from, int to) {
        return Optional.of(new DatePhrase(from, to, context.today().minusDays(1), Optional.empty(), Form.PAST));
    }
}
