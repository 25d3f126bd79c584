package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Parts of days, weeks, months and years: "end of the week", "early next month", "mid-April". */
final class PartsOfPeriods {

    private static final int MIDDLE_OF_A_MONTH = 15;

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases days;
    private final PeriodEnds ends;

    PartsOfPeriods(Sentence sentence, DateContext context, DayPhrases days, PeriodEnds ends) {
        this.sentence = sentence;
        this.context = context;
        this.days = days;
        this.ends = ends;
    }

    /** "mid-April": its fifteenth. */
    Optional<DatePhrase> midMonth(int from) {
        String word = sentence.norm(from);
        int month = word.startsWith("mid-") ? DateWords.month(word.substring("mid-".length())) : DateWords.NONE;
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        LocalDate middle = context.today().withDayOfMonth(1).withMonth(month).withDayOfMonth(MIDDLE_OF_A_MONTH);
        return DayPhrases.end(from, from + 1, middle.isBefore(context.today()) ? middle.plusYears(1) : middle);
    }

    /** Whether a word names a part: "end", "early". */
    static boolean isPart(String word) {
        return word.equals("end")
                || word.equals("beginning")
                || word.equals("start")
                || word.equals("middle")
                || word.equals("early")
                || word.equals("mid")
                || word.equals("late")
                || word.equals("later");
    }

    /** "end of", "beginning of", "early", "middle of" with a day, a week, a month or a year. */
    Optional<DatePhrase> at(int from) {
        String part = sentence.norm(from);
        int at = from + 1;
        if (sentence.norm(at).equals("of")) {
            at++;
        } else if (part.equals("end") || part.equals("beginning") || part.equals("middle") || part.equals("start")) {
            if (!part.equals("end")
                    || !(sentence.norm(at).equals("next") || sentence.norm(at).equals("this"))) {
                return Optional.empty();
            }
        } else if (sentence.norm(at).equals("in")) {
            at++;
        }
        boolean the = sentence.norm(at).equals("the")
                || sentence.norm(at).equals("this")
                || sentence.norm(at).equals("my");
        boolean next = sentence.norm(at).equals("next")
                || (sentence.norm(at).equals("the")
                        && (sentence.norm(at + 1).equals("coming")
                                || sentence.norm(at + 1).equals("following")));
        if (the || next) {
            at += next && sentence.norm(at).equals("the") ? 2 : 1;
        }
        String unit = sentence.norm(at);
        boolean working = unit.equals("working") || unit.equals("business");
        if (working
                && (sentence.norm(at + 1).equals("day") || sentence.norm(at + 1).equals("week"))) {
            at++;
            unit = sentence.norm(at);
        }
        switch (unit) {
            case "business", "play" -> {
                return part.equals("end") ? endOfDay(from, at + 1) : Optional.empty();
            }
            case "day" -> {
                return part.equals("end") ? endOfDay(from, at + 1) : Optional.empty();
            }
            case "today", "tomorrow" -> {
                int days = unit.equals("today") ? 0 : 1;
                return DayPhrases.end(from, at + 1, context.today().plusDays(days));
            }
            case "week" -> {
                return partOfWeek(from, at + 1, part, next ? 1 : 0, the || next);
            }
            case "month" -> {
                LocalDate inMonth = next ? context.today().plusMonths(1) : context.today();
                return partOfMonth(from, at + 1, part, inMonth, next);
            }
            case "year" -> {
                return part.equals("end") ? DayPhrases.end(from, at + 1, ends.ofYear()) : Optional.empty();
            }
            case "quarter" -> {
                int lastMonth = (context.today().getMonthValue() + 2) / 3 * 3;
                LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(lastMonth);
                return part.equals("end") ? DayPhrases.end(from, at + 1, ends.ofMonth(inMonth)) : Optional.empty();
            }
            case "q1", "q2", "q3", "q4" -> {
                LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(3 * (unit.charAt(1) - '0'));
                return part.equals("end")
                        ? DayPhrases.end(from, at + 1, ends.ofMonth(nextTime(inMonth)))
                        : Optional.empty();
            }
            default -> {
                return partOfNamed(from, at, part);
            }
        }
    }

    private LocalDate nextTime(LocalDate inMonth) {
        boolean over = inMonth.with(TemporalAdjusters.lastDayOfMonth()).isBefore(context.today());
        return over ? inMonth.plusYears(1) : inMonth;
    }

    private Optional<DatePhrase> partOfNamed(int from, int at, String part) {
        int weekday = DateWords.weekdayIndex(sentence, at);
        if (weekday != DateWords.NONE && (part.equals("end") || part.equals("late") || part.equals("early"))) {
            return days.weekday(at).map(day -> day.from(from).as(part.equals("end") ? Form.END : Form.DAY));
        }
        int month = DateWords.month(sentence, at);
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        LocalDate inMonth = nextTime(context.today().withDayOfMonth(1).withMonth(month));
        return partOfMonth(from, at + 1, part, inMonth, true);
    }

    private Optional<DatePhrase> partOfWeek(int from, int to, String part, int weeksOn, boolean determined) {
        int end = to;
        int weeks = weeksOn;
        if (sentence.norm(to).equals("after") && sentence.norm(to + 1).equals("next")) {
            end += 2;
            weeks = 2;
        }
        LocalDate monday = context.today()
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                .plusWeeks(weeks);
        switch (part) {
            case "end" -> {
                return DayPhrases.end(from, end, weeks == 0 ? ends.ofWeek(0) : ends.ofWeekFrom(monday));
            }
            case "late", "later" -> {
                return determined || part.equals("late")
                        ? DayPhrases.end(from, end, weeks == 0 ? ends.ofWeek(0) : ends.ofWeekFrom(monday))
                                .map(d -> d.as(Form.DAY))
                        : Optional.empty();
            }
            case "beginning", "start" -> {
                // "At the beginning of the week", said when that is over, is the one to come.
                boolean over = context.today().getDayOfWeek().compareTo(DayOfWeek.TUESDAY) > 0;
                LocalDate soonest = over ? monday.plusWeeks(1) : context.today();
                return DayPhrases.day(from, end, monday.isBefore(context.today()) ? soonest : monday);
            }
            case "early" -> {
                return DayPhrases.day(from, end, monday.plusDays(1));
            }
            default -> {
                return DayPhrases.day(from, end, monday.plusDays(2));
            }
        }
    }

    private Optional<DatePhrase> partOfMonth(int from, int to, String part, LocalDate inMonth, boolean ahead) {
        LocalDate first = inMonth.withDayOfMonth(1);
        return switch (part) {
            case "end" -> DayPhrases.end(from, to, ends.ofMonth(inMonth));
            case "late", "later" -> DayPhrases.day(from, to, ends.ofMonth(inMonth));
            case "beginning", "start" ->
                DayPhrases.day(from, to, context.workingTime().onOrAfter(ahead ? first : first.plusMonths(1)));
            case "early" -> DayPhrases.day(from, to, context.workingTime().onOrAfter(first.plusDays(4)));
            default -> DayPhrases.day(from, to, first.withDayOfMonth(15));
        };
    }

    /** The end of the day of writing, or of the day that is named behind it. */
    Optional<DatePhrase> endOfDay(int from, int to) {
        int at = sentence.norm(to).equals("on") ? to + 1 : to;
        Optional<DatePhrase> day = at < sentence.size() ? days.plainDayAt(at) : Optional.empty();
        if (day.isPresent() && day.get().time().isEmpty() && !startsNewPart(to)) {
            return DayPhrases.end(from, day.get().toExclusive(), day.get().day());
        }
        return DayPhrases.end(from, to, context.today());
    }

    private boolean startsNewPart(int at) {
        return at < sentence.size()
                && sentence.at(at).followsMark()
                && sentence.at(at).before() != '(';
    }
}
