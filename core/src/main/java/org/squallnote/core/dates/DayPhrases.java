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

    DayPhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.calendar = new CalendarDates(sentence, context);
        this.stretches = new Stretches(sentence, context);
        this.periods = new PeriodPhrases(sentence, context, this);
        this.feasts = new Feasts(sentence, context.today());
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
                case 1 -> weekday(from);
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
                return past(from, from + 1);
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
                return sentence.norm(from + 1).equals("time") ? thisTime(from) : Optional.empty();
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
        return nearDay(from).or(() -> weekday(from)).or(() -> calendar.at(from));
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
        int at = from;
        String lead = sentence.norm(from);
        if (lead.equals("past") && sentence.norm(from - 1).equals("wait")) {
            return Optional.empty(); // "It can't wait past Friday."
        }
        boolean led = lead.equals("this")
                || lead.equals("next")
                || lead.equals("coming")
                || lead.equals("last")
                || lead.equals("past");
        if (led) {
            at++;
            if (sentence.norm(at).equals("coming") || sentence.norm(at).equals("next")) {
                at++;
            }
        } else if (lead.equals("the")
                && (sentence.norm(from + 1).equals("coming")
                        || sentence.norm(from + 1).equals("following"))) {
            at += 2;
        } else if (lead.equals("the") || lead.equals("a")) {
            // "on the Wednesday"; "a week on Friday" is a stretch.
            at++;
        }
        int index = DateWords.weekdayIndex(sentence, at);
        if (index == DateWords.NONE || isOnlyTheWord(at)) {
            return Optional.empty();
        }
        DayOfWeek weekday = DayOfWeek.of(index);
        if (lead.equals("last") || lead.equals("past")) {
            return past(from, at + 1);
        }
        LocalDate next = context.today().with(TemporalAdjusters.next(weekday));
        int to = at + 1;
        Optional<DatePhrase> dated = calendarAfterWeekday(from, to, weekday);
        if (dated.isPresent()) {
            return dated;
        }
        LocalDate date = next;
        if (lead.equals("next") || isNextWeek(to)) {
            date = DateScanner.mondayAfter(context.today()).with(TemporalAdjusters.nextOrSame(weekday));
            if (isNextWeek(to)) {
                to += sentence.norm(to).equals("of") || sentence.norm(to).equals("in") ? 3 : 2;
            } else if (sentence.norm(to).equals("week")) {
                to++;
            }
        } else if (sentence.norm(to).equals("week")) {
            // "Friday week": the one after the next.
            date = next.plusWeeks(1);
            to++;
        } else if (sentence.norm(to).equals("next") && !sentence.norm(to + 1).equals("week")) {
            date = DateScanner.mondayAfter(context.today()).with(TemporalAdjusters.nextOrSame(weekday));
            to++;
        } else if (sentence.norm(to).equals("end")
                && sentence.norm(to + 1).equals("of")
                && (sentence.norm(to + 2).equals("day") || sentence.norm(to + 2).equals("business"))) {
            to += 3;
        } else if (sentence.norm(to).equals("close")
                && sentence.norm(to + 1).equals("of")
                && (sentence.norm(to + 2).equals("play")
                        || sentence.norm(to + 2).equals("business"))) {
            to += 3;
        } else if (sentence.at(Math.min(to, sentence.size() - 1)).is("eod", "cob", "eob", "cop")
                && to < sentence.size()) {
            to++;
        } else if (sentence.norm(to).equals("this") && sentence.norm(to + 1).equals("week")) {
            to += 2;
        } else if (isWeekAfterNext(to)) {
            date = DateScanner.mondayAfter(context.today()).plusWeeks(1).with(TemporalAdjusters.nextOrSame(weekday));
            to += sentence.norm(to).equals("the") ? 4 : 5;
        }
        return day(from, to, date);
    }

    private boolean isWeekAfterNext(int at) {
        int i = sentence.norm(at).equals("of") || sentence.norm(at).equals("in") ? at + 1 : at;
        return sentence.norm(i).equals("the")
                && sentence.norm(i + 1).equals("week")
                && sentence.norm(i + 2).equals("after")
                && sentence.norm(i + 3).equals("next");
    }

    private boolean isNextWeek(int at) {
        int i = sentence.norm(at).equals("of") || sentence.norm(at).equals("in") ? at + 1 : at;
        return sentence.norm(i).equals("next") && sentence.norm(i + 1).equals("week");
    }

    /** "Friday 30 August", "Friday, the 30th", "Monday 23": the date decides which Friday. */
    private Optional<DatePhrase> calendarAfterWeekday(int from, int at, DayOfWeek weekday) {
        if (at >= sentence.size() || sentence.at(at).before() == '-') {
            return Optional.empty();
        }
        int start = sentence.norm(at).equals("the") && !calendar.at(at).isPresent() ? at + 1 : at;
        Optional<DatePhrase> dated = calendar.at(start);
        if (dated.isPresent() && dated.get().time().isEmpty()) {
            return dated.map(found -> found.from(from));
        }
        int ordinal = DateWords.ordinal(sentence, start);
        int number = ordinal == DateWords.NONE
                ? DateWords.digits(sentence.norm(start)).orElse(DateWords.NONE)
                : ordinal;
        if (number >= 1 && number <= 31) {
            LocalDate date = calendar.nextDayOfMonth(number);
            if (date.getDayOfWeek() == weekday) {
                return day(from, start + 1, date);
            }
        }
        return Optional.empty();
    }

    /** "sat" and "sun" are words too, unless something makes them a day. */
    private boolean isOnlyTheWord(int at) {
        String word = sentence.norm(at);
        if (!word.equals("sat") && !word.equals("sun")) {
            return false;
        }
        String before = sentence.norm(at - 1);
        return !(before.equals("on")
                || before.equals("by")
                || before.equals("this")
                || before.equals("next")
                || before.equals("before")
                || before.equals("until")
                || DateWords.digits(sentence.norm(at + 1)).isPresent());
    }

    static Optional<DatePhrase> day(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.<LocalTime>empty(), Form.DAY));
    }

    static Optional<DatePhrase> end(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.empty(), Form.END));
    }

    Optional<DatePhrase> past(int from, int to) {
        return Optional.of(new DatePhrase(from, to, context.today().minusDays(1), Optional.empty(), Form.PAST));
    }
}
