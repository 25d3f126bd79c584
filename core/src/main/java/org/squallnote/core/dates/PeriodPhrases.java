package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Weeks, months and years, their ends and their parts: "end of the week", "early next month", "next week", "mid-April". */
final class PeriodPhrases {

    private static final int MIDDLE_OF_A_MONTH = 15;

    private static final WordSet OVER = WordSet.of("out", "over", "up", "through", "done");

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases days;

    PeriodPhrases(Sentence sentence, DateContext context, DayPhrases days) {
        this.sentence = sentence;
        this.context = context;
        this.days = days;
    }

    Optional<DatePhrase> endOf(int from) {
        String word = sentence.norm(from);
        switch (word) {
            case "eod", "cob", "eob", "cop" -> {
                return endOfDay(from, from + 1);
            }
            case "eow" -> {
                return DayPhrases.end(from, from + 1, endOfWeek(0));
            }
            case "eom", "month-end" -> {
                return DayPhrases.end(from, from + 1, endOfMonth(context.today()));
            }
            case "midweek", "mid-week" -> {
                return DayPhrases.day(
                        from, from + 1, context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.WEDNESDAY)));
            }
            case "month" -> {
                return sentence.norm(from + 1).equals("end")
                        ? DayPhrases.end(from, from + 2, endOfMonth(context.today()))
                        : Optional.empty();
            }
            case "year" -> {
                return sentence.norm(from + 1).equals("end")
                        ? DayPhrases.end(from, from + 2, endOfYear())
                        : Optional.empty();
            }
            case "year-end" -> {
                return DayPhrases.end(from, from + 1, endOfYear());
            }
            case "close" -> {
                return sentence.norm(from + 1).equals("of")
                                && (sentence.norm(from + 2).equals("business")
                                        || sentence.norm(from + 2).equals("play")
                                        || sentence.norm(from + 2).equals("day"))
                        ? endOfDay(from, from + 3)
                        : Optional.empty();
            }
            case "the" -> {
                boolean end = isEndWord(sentence.norm(from + 1))
                        || sentence.norm(from + 1).equals("close");
                boolean weekend = sentence.norm(from + 1).equals("weekend")
                        || sentence.norm(from + 1).equals("week-end");
                if (weekend) {
                    boolean during = sentence.norm(from - 1).equals("over")
                            || sentence.norm(from - 1).equals("during");
                    LocalDate day = during
                            ? context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY))
                            : endOfWeek(0);
                    return DayPhrases.end(from, from + 2, day).map(found -> found.as(Form.PERIOD));
                }
                return end ? endOf(from + 1).map(found -> found.from(from)) : untilItIsOut(from);
            }
            case "weekend", "week-end" -> {
                return DayPhrases.end(from, from + 1, endOfWeek(0)).map(found -> found.as(Form.PERIOD));
            }
            case "midnight" -> {
                return endOfDay(from, from + 1);
            }
            default -> {
                return isEndWord(word) ? partOf(from) : midMonth(from);
            }
        }
    }

    /** "the week is out", "the month's over", of which the end is meant. */
    private Optional<DatePhrase> untilItIsOut(int from) {
        String unit = sentence.norm(from + 1);
        boolean contracted = unit.endsWith("'s");
        int over = contracted ? from + 2 : from + 3;
        boolean course = sentence.norm(from - 1).equals("during")
                || (sentence.norm(from - 1).equals("of")
                        && sentence.norm(from - 2).equals("course"));
        if (course && unit.equals("week")) {
            return DayPhrases.end(from, from + 2, endOfWeek(0)).map(found -> found.as(Form.PERIOD));
        }
        boolean is = contracted || sentence.norm(from + 2).equals("is");
        if (!is || !OVER.has(sentence, over)) {
            return Optional.empty();
        }
        return switch (contracted ? unit.substring(0, unit.length() - 2) : unit) {
            case "day" -> DayPhrases.end(from, over + 1, context.today());
            case "week" -> DayPhrases.end(from, over + 1, endOfWeek(0));
            case "month" -> DayPhrases.end(from, over + 1, endOfMonth(context.today()));
            case "year" -> DayPhrases.end(from, over + 1, endOfYear());
            default -> Optional.empty();
        };
    }

    /** "the second Tuesday of next month", "the last Friday in April". */
    Optional<DatePhrase> weekdayOfMonth(int from) {
        int at = sentence.norm(from).equals("the") ? from + 1 : from;
        boolean last = sentence.norm(at).equals("last");
        int which = DateWords.ordinal(sentence, at);
        int weekday = DateWords.weekdayIndex(sentence, at + 1);
        boolean of = sentence.norm(at + 2).equals("of") || sentence.norm(at + 2).equals("in");
        if (weekday == DateWords.NONE || !of || !(last || (which >= 1 && which <= 5))) {
            return Optional.empty();
        }
        int to = at + 4;
        LocalDate month = context.today().withDayOfMonth(1);
        int named = DateWords.month(sentence, at + 3);
        String unit = sentence.norm(at + 4);
        if (named != DateWords.NONE) {
            month = month.withMonth(named).plusYears(named < month.getMonthValue() ? 1 : 0);
        } else if (unit.equals("month") && sentence.at(at + 3).is("the", "this", "next")) {
            month = month.plusMonths(sentence.norm(at + 3).equals("next") ? 1 : 0);
            to++;
        } else {
            return Optional.empty();
        }
        DayOfWeek day = DayOfWeek.of(weekday);
        LocalDate date =
                month.with(last ? TemporalAdjusters.lastInMonth(day) : TemporalAdjusters.dayOfWeekInMonth(which, day));
        return date.getMonth() == month.getMonth() ? DayPhrases.day(from, to, date) : Optional.empty();
    }

    /** "mid-April": its fifteenth. */
    private Optional<DatePhrase> midMonth(int from) {
        String word = sentence.norm(from);
        int month = word.startsWith("mid-") ? DateWords.month(word.substring("mid-".length())) : DateWords.NONE;
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        LocalDate middle = context.today().withDayOfMonth(1).withMonth(month).withDayOfMonth(MIDDLE_OF_A_MONTH);
        return DayPhrases.end(from, from + 1, middle.isBefore(context.today()) ? middle.plusYears(1) : middle);
    }

    private static boolean isEndWord(String word) {
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
    private Optional<DatePhrase> partOf(int from) {
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
                return part.equals("end") ? DayPhrases.end(from, at + 1, endOfYear()) : Optional.empty();
            }
            case "quarter" -> {
                int lastMonth = (context.today().getMonthValue() + 2) / 3 * 3;
                LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(lastMonth);
                return part.equals("end") ? DayPhrases.end(from, at + 1, endOfMonth(inMonth)) : Optional.empty();
            }
            case "q1", "q2", "q3", "q4" -> {
                LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(3 * (unit.charAt(1) - '0'));
                return part.equals("end")
                        ? DayPhrases.end(from, at + 1, endOfMonth(nextTime(inMonth)))
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
                return DayPhrases.end(from, end, weeks == 0 ? endOfWeek(0) : lastWorkingDayOfWeek(monday));
            }
            case "late", "later" -> {
                return determined || part.equals("late")
                        ? DayPhrases.end(from, end, weeks == 0 ? endOfWeek(0) : lastWorkingDayOfWeek(monday))
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
            case "end" -> DayPhrases.end(from, to, endOfMonth(inMonth));
            case "late", "later" -> DayPhrases.day(from, to, endOfMonth(inMonth));
            case "beginning", "start" ->
                DayPhrases.day(from, to, context.workingTime().onOrAfter(ahead ? first : first.plusMonths(1)));
            case "early" -> DayPhrases.day(from, to, context.workingTime().onOrAfter(first.plusDays(4)));
            default -> DayPhrases.day(from, to, first.withDayOfMonth(15));
        };
    }

    /** "this week", "next week", "next month", "the week after next". */
    Optional<DatePhrase> weekOrMonth(int from) {
        String lead = sentence.norm(from);
        String unit = sentence.norm(from + 1);
        if (lead.equals("the")
                && unit.equals("week")
                && sentence.norm(from + 2).equals("after")
                && sentence.norm(from + 3).equals("next")) {
            LocalDate monday = DateScanner.mondayAfter(context.today()).plusWeeks(1);
            return DayPhrases.day(from, from + 4, lastWorkingDayOfWeek(monday)).map(d -> d.as(Form.PERIOD));
        }
        if (lead.equals("last") || lead.equals("past")) {
            boolean unitOfTime = unit.equals("week")
                    || unit.equals("month")
                    || unit.equals("year")
                    || unit.equals("night")
                    || unit.equals("time")
                    || DateWords.month(sentence, from + 1) != DateWords.NONE;
            if ((lead.equals("last") && unit.equals("thing")) || !unitOfTime) {
                return Optional.empty();
            }
            return days.past(from, from + 2);
        }
        boolean current = lead.equals("this");
        boolean next = lead.equals("next") || lead.equals("coming");
        int to = from + 2;
        if (current && unit.equals("coming")) {
            unit = sentence.norm(from + 2);
            to++;
            next = unit.equals("week");
        }
        if (!current && !next) {
            return Optional.empty();
        }
        boolean weekly = unit.equals("week") || unit.equals("weekend");
        if (weekly) {
            return DayPhrases.day(from, to, endOfWeek(next ? 1 : 0)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("month")) {
            LocalDate inMonth = next ? context.today().plusMonths(1) : context.today();
            return DayPhrases.day(from, to, endOfMonth(inMonth)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("year") && current) {
            return DayPhrases.day(from, to, endOfYear()).map(d -> d.as(Form.PERIOD));
        }
        return Optional.empty();
    }

    private Optional<DatePhrase> endOfDay(int from, int to) {
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

    /** The last working day of an ISO week from now on; on a day off at the end of this week, of the next one. */
    private LocalDate endOfWeek(int weeksOn) {
        LocalDate monday = context.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate last = lastWorkingDayOfWeek(monday.plusWeeks(weeksOn));
        return weeksOn == 0 && last.isBefore(context.today()) ? lastWorkingDayOfWeek(monday.plusWeeks(1)) : last;
    }

    private LocalDate lastWorkingDayOfWeek(LocalDate monday) {
        return context.workingTime().onOrBefore(monday.plusDays(6));
    }

    private LocalDate endOfMonth(LocalDate inMonth) {
        LocalDate last = context.workingTime().onOrBefore(inMonth.with(TemporalAdjusters.lastDayOfMonth()));
        return last.isBefore(context.today())
                ? context.workingTime().onOrBefore(inMonth.plusMonths(1).with(TemporalAdjusters.lastDayOfMonth()))
                : last;
    }

    private LocalDate endOfYear() {
        return context.workingTime().onOrBefore(context.today().with(TemporalAdjusters.lastDayOfYear()));
    }
}
