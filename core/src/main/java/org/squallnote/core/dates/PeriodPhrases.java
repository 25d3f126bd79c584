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

    private static final WordSet OVER = WordSet.of("out", "over", "up", "through", "done");

    private final Sentence sentence;
    private final DateContext context;
    private final PeriodEnds ends;
    private final PartsOfPeriods parts;

    PeriodPhrases(Sentence sentence, DateContext context, DayPhrases days) {
        this.sentence = sentence;
        this.context = context;
        this.ends = new PeriodEnds(context);
        this.parts = new PartsOfPeriods(sentence, context, days, ends);
    }

    Optional<DatePhrase> endOf(int from) {
        String word = sentence.norm(from);
        switch (word) {
            case "eod", "cob", "eob", "cop" -> {
                return parts.endOfDay(from, from + 1);
            }
            case "eow" -> {
                return DayPhrases.end(from, from + 1, ends.ofWeek(0));
            }
            case "eom", "month-end" -> {
                return DayPhrases.end(from, from + 1, ends.ofMonth(context.today()));
            }
            case "midweek", "mid-week" -> {
                return DayPhrases.day(
                        from, from + 1, context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.WEDNESDAY)));
            }
            case "month" -> {
                return sentence.norm(from + 1).equals("end")
                        ? DayPhrases.end(from, from + 2, ends.ofMonth(context.today()))
                        : Optional.empty();
            }
            case "year" -> {
                return sentence.norm(from + 1).equals("end")
                        ? DayPhrases.end(from, from + 2, ends.ofYear())
                        : Optional.empty();
            }
            case "year-end" -> {
                return DayPhrases.end(from, from + 1, ends.ofYear());
            }
            case "close" -> {
                return sentence.norm(from + 1).equals("of")
                                && (sentence.norm(from + 2).equals("business")
                                        || sentence.norm(from + 2).equals("play")
                                        || sentence.norm(from + 2).equals("day"))
                        ? parts.endOfDay(from, from + 3)
                        : Optional.empty();
            }
            case "the" -> {
                boolean end = PartsOfPeriods.isPart(sentence.norm(from + 1))
                        || sentence.norm(from + 1).equals("close");
                boolean weekend = sentence.norm(from + 1).equals("weekend")
                        || sentence.norm(from + 1).equals("week-end");
                if (weekend) {
                    boolean during = sentence.norm(from - 1).equals("over")
                            || sentence.norm(from - 1).equals("during");
                    LocalDate day = during
                            ? context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY))
                            : ends.ofWeek(0);
                    return DayPhrases.end(from, from + 2, day).map(found -> found.as(Form.PERIOD));
                }
                return end ? endOf(from + 1).map(found -> found.from(from)) : untilItIsOut(from);
            }
            case "weekend", "week-end" -> {
                return DayPhrases.end(from, from + 1, ends.ofWeek(0)).map(found -> found.as(Form.PERIOD));
            }
            case "midnight" -> {
                return parts.endOfDay(from, from + 1);
            }
            default -> {
                return PartsOfPeriods.isPart(word) ? parts.at(from) : parts.midMonth(from);
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
            return DayPhrases.end(from, from + 2, ends.ofWeek(0)).map(found -> found.as(Form.PERIOD));
        }
        boolean is = contracted || sentence.norm(from + 2).equals("is");
        if (!is || !OVER.has(sentence, over)) {
            return Optional.empty();
        }
        return switch (contracted ? unit.substring(0, unit.length() - 2) : unit) {
            case "day" -> DayPhrases.end(from, over + 1, context.today());
            case "week" -> DayPhrases.end(from, over + 1, ends.ofWeek(0));
            case "month" -> DayPhrases.end(from, over + 1, ends.ofMonth(context.today()));
            case "year" -> DayPhrases.end(from, over + 1, ends.ofYear());
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

    /** "this week", "next week", "next month", "the week after next". */
    Optional<DatePhrase> weekOrMonth(int from) {
        String lead = sentence.norm(from);
        String unit = sentence.norm(from + 1);
        if (lead.equals("the")
                && unit.equals("week")
                && sentence.norm(from + 2).equals("after")
                && sentence.norm(from + 3).equals("next")) {
            LocalDate monday = DateScanner.mondayAfter(context.today()).plusWeeks(1);
            return DayPhrases.day(from, from + 4, ends.ofWeekFrom(monday)).map(d -> d.as(Form.PERIOD));
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
            return DayPhrases.past(context, from, from + 2);
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
            return DayPhrases.day(from, to, ends.ofWeek(next ? 1 : 0)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("month")) {
            LocalDate inMonth = next ? context.today().plusMonths(1) : context.today();
            return DayPhrases.day(from, to, ends.ofMonth(inMonth)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("year") && current) {
            return DayPhrases.day(from, to, ends.ofYear()).map(d -> d.as(Form.PERIOD));
        }
        return Optional.empty();
    }
}
