package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.text.Sentence;

/** Days of the week: "Friday", "next Tuesday", "Friday week", "Friday 30 August". */
final class Weekdays {

    private final Sentence sentence;
    private final DateContext context;
    private final CalendarDates calendar;

    Weekdays(Sentence sentence, DateContext context, CalendarDates calendar) {
        this.sentence = sentence;
        this.context = context;
        this.calendar = calendar;
    }

    Optional<DatePhrase> at(int from) {
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
            return DayPhrases.past(context, from, at + 1);
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
        return DayPhrases.day(from, to, date);
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
                return DayPhrases.day(from, start + 1, date);
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
}
