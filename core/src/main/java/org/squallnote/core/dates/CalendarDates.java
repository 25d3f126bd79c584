package org.squallnote.core.dates;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Dates by the calendar: "30 August", "Aug 30th, 2026", "the 30th", "30/8", "30.8.", "2026-08-30". */
final class CalendarDates {

    /** Behind these, "30 march" is a date, though "march" is no name. */
    private static final WordSet BEFORE_A_MONTH =
            WordSet.of("by", "on", "before", "until", "till", "than", "from", "since", "to", "for", "around", "the");

    /** Behind one of these marks something new begins: "by the 20th: may I ask". */
    private static final String NEXT_PART = ":;()";

    private final Sentence sentence;
    private final DateContext context;
    private final NumericDates numbers;

    CalendarDates(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.numbers = new NumericDates(sentence, context, this);
    }

    Optional<DatePhrase> at(int from) {
        String word = sentence.norm(from);
        if (word.isEmpty()) {
            return Optional.empty();
        }
        if (Character.isDigit(word.charAt(0))) {
            Optional<DatePhrase> written = dayThenMonth(from, from);
            return written.isPresent() ? written : numbers.at(from);
        }
        if (word.equals("the")) {
            Optional<DatePhrase> written = dayThenMonth(from, from + 1);
            if (written.isEmpty()) {
                written = ordinalAlone(from);
            }
            return written.isPresent() ? written : lastDay(from);
        }
        if (DateWords.isWrittenOrdinal(sentence, from)) {
            return dayThenMonth(from, from);
        }
        Optional<DatePhrase> dated = monthThenDay(from);
        return dated.isPresent() ? dated : beforeMonth(from);
    }

    /** "before April": before it begins. */
    private Optional<DatePhrase> beforeMonth(int from) {
        int month = DateWords.month(sentence, from);
        boolean before =
                sentence.norm(from - 1).equals("before") && sentence.at(from).capital();
        boolean ends = from + 1 >= sentence.size()
                || sentence.at(from + 1).followsMark()
                || DateWords.mayFollowADate(sentence, from + 1);
        return month != DateWords.NONE && before && ends ? yearless(from, from + 1, month, 1) : Optional.empty();
    }

    /** "the last day of the month", "the last working day of April". */
    private Optional<DatePhrase> lastDay(int from) {
        boolean working = sentence.norm(from + 2).equals("working")
                || sentence.norm(from + 2).equals("business");
        int day = working ? from + 3 : from + 2;
        if (!sentence.norm(from + 1).equals("last")
                || !sentence.norm(day).equals("day")
                || !sentence.norm(day + 1).equals("of")) {
            return Optional.empty();
        }
        LocalDate today = context.today();
        String which = sentence.norm(day + 2);
        int month = DateWords.month(sentence, day + 2);
        LocalDate in = today;
        int to = day + 3;
        if (month != DateWords.NONE) {
            in = today.withDayOfMonth(1).withMonth(month);
            in = in.plusYears(in.getYear() == today.getYear() && month < today.getMonthValue() ? 1 : 0);
        } else if (sentence.norm(to).equals("month")) {
            in = which.equals("next") ? today.plusMonths(1) : today;
            to++;
        } else {
            return Optional.empty();
        }
        LocalDate last = in.withDayOfMonth(in.lengthOfMonth());
        LocalDate meant = working ? context.workingTime().onOrBefore(last) : last;
        return Optional.of(new DatePhrase(from, to, meant, Optional.empty(), Form.DAY));
    }

    /** The first date with that day of the month on or after the day of writing. */
    LocalDate nextDayOfMonth(int dayOfMonth) {
        LocalDate month = context.today().withDayOfMonth(1);
        for (int i = 0; i < 12; i++) {
            LocalDate in = month.plusMonths(i);
            if (dayOfMonth <= in.lengthOfMonth()) {
                LocalDate date = in.withDayOfMonth(dayOfMonth);
                if (!date.isBefore(context.today())) {
                    return date;
                }
            }
        }
        return context.today();
    }

    /** "30 August", "30th of August 2026", "the fifth of May". */
    private Optional<DatePhrase> dayThenMonth(int from, int at) {
        int ordinal = DateWords.ordinal(sentence, at);
        int day = ordinal;
        if (day == DateWords.NONE) {
            day = DateWords.digits(sentence.norm(at)).orElse(DateWords.NONE);
        }
        if (day < 1 || day > 31) {
            return Optional.empty();
        }
        int next = sentence.norm(at + 1).equals("of") ? at + 2 : at + 1;
        if (next - at > 1
                && (sentence.norm(next).equals("this") || sentence.norm(next).equals("next"))
                && sentence.norm(next + 1).equals("month")) {
            LocalDate month = sentence.norm(next).equals("this")
                    ? context.today()
                    : context.today().plusMonths(1);
            return exact(from, next + 2, month.getYear(), month.getMonthValue(), day);
        }
        int month = DateWords.month(sentence, next);
        if (month == DateWords.NONE
                || NEXT_PART.indexOf(sentence.at(next).before()) >= 0
                || (sentence.norm(next).equals("march")
                        && !sentence.at(next).capital()
                        && next == at + 1
                        && ordinal < 0
                        && !BEFORE_A_MONTH.has(sentence, from - 1))) {
            return Optional.empty();
        }
        return yearAfter(from, next + 1, month, day);
    }

    /** "August 30", "Aug 30th, 2026", "August the 30th". */
    private Optional<DatePhrase> monthThenDay(int from) {
        int month = DateWords.month(sentence, from);
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        int at = sentence.norm(from + 1).equals("the") ? from + 2 : from + 1;
        int day = DateWords.ordinal(sentence, at);
        if (day == DateWords.NONE) {
            day = DateWords.digits(sentence.norm(at)).orElse(DateWords.NONE);
        }
        if (day < 1 || day > 31 || sentence.at(at).before() == '-') {
            return Optional.empty();
        }
        return yearAfter(from, at + 1, month, day);
    }

    private Optional<DatePhrase> yearAfter(int from, int at, int month, int day) {
        OptionalInt year = DateWords.digits(sentence.norm(at));
        if (year.isPresent() && sentence.norm(at).length() == 4 && year.getAsInt() >= 1900 && year.getAsInt() < 2200) {
            return exact(from, at + 1, year.getAsInt(), month, day);
        }
        return yearless(from, at, month, day);
    }

    /** "the 30th", unless it counts something: "the 3rd floor". */
    private Optional<DatePhrase> ordinalAlone(int from) {
        int day = DateWords.ordinal(sentence, from + 1);
        if (day == DateWords.NONE) {
            return Optional.empty();
        }
        int next = from + 2;
        boolean ends = next >= sentence.size() || sentence.at(next).followsMark();
        boolean allowed = ends || DateWords.mayFollowADate(sentence, next);
        boolean written = DateWords.isWrittenOrdinal(sentence, from + 1);
        boolean limit = DateLeads.isLimit(sentence, from - 1);
        if (!allowed || (written && !limit && (!ends || day < 4))) {
            return Optional.empty();
        }
        return Optional.of(day(from, next, nextDayOfMonth(day)));
    }

    /** The first such date that is not over. */
    Optional<DatePhrase> yearless(int from, int to, int month, int day) {
        int year = context.today().getYear();
        for (int i = 0; i < 5; i++) {
            Optional<DatePhrase> dated = exact(from, to, year + i, month, day);
            if (dated.isPresent() && !dated.get().day().isBefore(context.today())) {
                return dated;
            }
        }
        return Optional.empty();
    }

    static Optional<DatePhrase> exact(int from, int to, int year, int month, int day) {
        try {
            return Optional.of(day(from, to, LocalDate.of(year, month, day)));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static DatePhrase day(int from, int to, LocalDate day) {
        return new DatePhrase(from, to, day, Optional.empty(), Form.DAY);
    }
}
