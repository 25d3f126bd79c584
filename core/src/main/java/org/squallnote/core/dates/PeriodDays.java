package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/** Days of weeks, months, quarters and years: {@code start of week 1}, {@code end of month named}, {@code weekday}. */
final class PeriodDays {

    private static final int MIDDLE_OF_A_MONTH = 15;

    private static final int FEW_DAYS = 4;

    private final Sentence sentence;
    private final DateWords words;
    private final DateContext context;
    private final LocalDate today;
    private final PeriodEnds ends;

    PeriodDays(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.words = context.words();
        this.context = context;
        this.today = context.today();
        this.ends = new PeriodEnds(context);
    }

    /**
     * The day in words of a rule.
     *
     * @throws IllegalStateException when no day is reckoned so
     */
    LocalDate day(String rule, Term term) {
        String[] said = rule.split(" ");
        String last = said[said.length - 1];
        if (rule.equals("weekday")) {
            return today.with(TemporalAdjusters.next(weekdayIn(term)));
        }
        if (rule.contains("of week")) {
            return inWeek(said[0], said[1], Integer.parseInt(last), term);
        }
        if (rule.contains("month")) {
            return inMonth(said[0], last, term);
        }
        return switch (rule) {
            case "end of year" -> ends.ofYear();
            case "end of quarter" -> endOfQuarter((today.getMonthValue() + 2) / 3, today);
            case "end of quarter named" -> endOfNamedQuarter(term);
            default -> throw new IllegalStateException("No day is reckoned so: " + rule);
        };
    }

    private DayOfWeek weekdayIn(Term term) {
        Integer plain = term.kinds().get("weekday");
        if (plain != null) {
            return DayOfWeek.of(words.weekday(sentence, plain));
        }
        String genitive = sentence.norm(term.kinds().getOrDefault("weekday's", term.from()));
        return DayOfWeek.of(words.weekday(genitive.substring(0, genitive.length() - 2)));
    }

    private LocalDate inWeek(String part, String day, int weeks, Term term) {
        LocalDate monday =
                today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).plusWeeks(weeks);
        return switch (part) {
            case "end" -> weeks == 0 ? ends.ofWeek(0) : ends.ofWeekFrom(monday);
            case "start" -> startOfWeek(monday);
            case "weekday" -> monday.with(TemporalAdjusters.nextOrSame(weekdayIn(term)));
            default -> monday.plusDays(Integer.parseInt(day) - 1L);
        };
    }

    /** "At the beginning of the week", said when that is over, is the one to come. */
    private LocalDate startOfWeek(LocalDate monday) {
        boolean over = today.getDayOfWeek().compareTo(DayOfWeek.TUESDAY) > 0;
        LocalDate soonest = over ? monday.plusWeeks(1) : today;
        return monday.isBefore(today) ? soonest : monday;
    }

    private LocalDate inMonth(String part, String which, Term term) {
        LocalDate month = which.equals("named") ? named(term) : today.plusMonths(Integer.parseInt(which));
        LocalDate first = month.withDayOfMonth(1);
        return switch (part) {
            case "end" -> ends.ofMonth(month);
            case "start" -> context.workingTime().onOrAfter(first);
            case "early" -> context.workingTime().onOrAfter(first.plusDays(FEW_DAYS));
            default -> first.withDayOfMonth(MIDDLE_OF_A_MONTH);
        };
    }

    /** A day in the month that is named, this year or, once it is over, the next. */
    private LocalDate named(Term term) {
        Integer whole = term.kinds().get("month");
        int month = whole == null
                ? words.month(sentence.norm(term.from()).substring("mid-".length()))
                : words.month(sentence, whole);
        LocalDate inMonth = today.withDayOfMonth(1).withMonth(month);
        if (whole != null) {
            return nextMonth(inMonth);
        }
        LocalDate middle = inMonth.withDayOfMonth(MIDDLE_OF_A_MONTH);
        return middle.isBefore(today) ? middle.plusYears(1) : middle;
    }

    private LocalDate endOfNamedQuarter(Term term) {
        int quarter =
                sentence.norm(term.kinds().getOrDefault("quarter", term.from())).charAt(1) - '0';
        return endOfQuarter(quarter, nextMonth(today.withDayOfMonth(1).withMonth(3 * quarter)));
    }

    private LocalDate endOfQuarter(int quarter, LocalDate inYear) {
        return ends.ofMonth(inYear.withDayOfMonth(1).withMonth(3 * quarter));
    }

    private LocalDate nextMonth(LocalDate inMonth) {
        boolean over = inMonth.with(TemporalAdjusters.lastDayOfMonth()).isBefore(today);
        return over ? inMonth.plusYears(1) : inMonth;
    }
}
