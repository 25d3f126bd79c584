package org.squallnote.core.dates;

import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Dates in numbers: "30/8", "30.8.", "2026-08-30", "16-Mar". */
final class NumericDates {

    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern NUMERIC = Pattern.compile("(\\d{1,2})([/.-])(\\d{1,2})(?:\\2(\\d{2}|\\d{4}))?");
    private static final Pattern NAMED_MONTH = Pattern.compile("(\\d{1,2})[/-](\\p{L}{3,9})(?:[/-](\\d{2}|\\d{4}))?");
    private static final int LONGEST = 17;

    private final Sentence sentence;
    private final DateContext context;

    NumericDates(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
    }

    Optional<DatePhrase> at(int from) {
        String word = sentence.norm(from);
        if (word.length() > LONGEST || word.isEmpty() || !Character.isDigit(word.charAt(0))) {
            return Optional.empty();
        }
        Matcher iso = ISO.matcher(word);
        if (iso.matches()) {
            return day(from, CalendarDays.exact(number(iso, 1), number(iso, 2), number(iso, 3)));
        }
        Matcher numeric = NUMERIC.matcher(word);
        if (!numeric.matches()) {
            return withNamedMonth(from, NAMED_MONTH.matcher(word));
        }
        boolean dots = numeric.group(2).equals(".");
        int first = number(numeric, 1);
        int second = number(numeric, 3);
        boolean monthFirst = context.monthFirst() && !dots;
        int day = monthFirst ? second : first;
        int month = monthFirst ? first : second;
        if (month > 12 && day <= 12) {
            int swapped = month;
            month = day;
            day = swapped;
            if (dots) {
                return Optional.empty();
            }
        }
        boolean looksLikeTime = dots
                && numeric.group(4) == null
                && !endsWithDot(from)
                && numeric.group(3).length() == 2
                && second % 15 == 0;
        if (numeric.group(4) != null) {
            int year = number(numeric, 4);
            return day(from, CalendarDays.exact(year < 100 ? 2000 + year : year, month, day));
        }
        if (numeric.group(2).equals("-") || looksLikeTime || !isIntroduced(from)) {
            return Optional.empty();
        }
        return day(from, CalendarDays.yearless(context.today(), month, day));
    }

    /** "16-Mar", "16/Mar/2026". */
    private Optional<DatePhrase> withNamedMonth(int from, Matcher written) {
        int month = written.matches() ? context.words().month(written.group(2)) : DateWords.NONE;
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        int day = number(written, 1);
        if (written.group(3) == null) {
            return day(from, CalendarDays.yearless(context.today(), month, day));
        }
        int year = number(written, 3);
        return day(from, CalendarDays.exact(year < 100 ? 2000 + year : year, month, day));
    }

    private boolean endsWithDot(int at) {
        return sentence.at(at).span().toExclusive() - sentence.at(at).span().fromInclusive()
                > sentence.norm(at).length();
    }

    /** A pair of numbers is a date only where a date can stand: "by 3/4", "Friday 3/4", "the 3/4". */
    private boolean isIntroduced(int from) {
        return context.words().words(DateClass.BEFORE_NUMBERS).has(sentence, from - 1)
                || context.words().weekday(sentence, from - 1) != DateWords.NONE
                || endsWithDot(from);
    }

    private static Optional<DatePhrase> day(int from, Optional<LocalDate> day) {
        return day.map(found -> new DatePhrase(from, from + 1, found, Optional.empty(), Form.DAY));
    }

    private static int number(Matcher matcher, int group) {
        return Integer.parseInt(matcher.group(group));
    }
}
