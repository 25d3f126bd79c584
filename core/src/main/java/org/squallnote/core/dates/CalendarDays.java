package org.squallnote.core.dates;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/**
 * Days of the calendar: {@code date}, of a day, a month and perhaps a year that are named; {@code next date}, of a day
 * alone; {@code date on weekday}, if it is that one; {@code last day in month 1}.
 */
final class CalendarDays {

    /** 29 February comes again by then. */
    private static final int YEARS_TO_LEAP_DAY = 5;

    private static final List<String> DAYS = List.of("day-of-month", "day-right-behind", "numeral-day", "written-day");

    private static final List<String> MONTHS = List.of("month", "month-of-a-date", "capital-month");

    private final Sentence sentence;
    private final DateContext context;
    private final LocalDate today;

    CalendarDays(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.today = context.today();
    }

    /**
     * The day in words of a rule; nothing where there is none, as 31 April.
     *
     * @throws IllegalStateException when no day is reckoned so
     */
    Optional<LocalDate> day(String rule, Term term) {
        return switch (rule) {
            case "date" -> dated(term);
            case "date first of month" -> yearless(today, month(term), 1);
            case "next date" -> Optional.of(nextDayOfMonth(dayOfMonth(term)));
            case "date on weekday" ->
                Optional.of(nextDayOfMonth(dayOfMonth(term)))
                        .filter(day -> day.getDayOfWeek().getValue() == weekday(term));
            default -> inMonth(rule, term);
        };
    }

    private Optional<LocalDate> inMonth(String rule, Term term) {
        String which = rule.substring(rule.lastIndexOf(' ') + 1);
        LocalDate first = which.equals("named")
                ? namedMonth(month(term))
                : today.withDayOfMonth(1).plusMonths(Integer.parseInt(which));
        LocalDate last = first.with(TemporalAdjusters.lastDayOfMonth());
        String part = rule.substring(0, rule.indexOf(" in month"));
        return switch (part) {
            case "date" -> exact(first.getYear(), first.getMonthValue(), dayOfMonth(term));
            case "date weekday" -> weekdayIn(first, term);
            case "last weekday" -> Optional.of(first.with(TemporalAdjusters.lastInMonth(DayOfWeek.of(weekday(term)))));
            case "last day" -> Optional.of(last);
            case "last working day" -> Optional.of(context.workingTime().onOrBefore(last));
            default -> throw new IllegalStateException("No day is reckoned so: " + rule);
        };
    }

    private Optional<LocalDate> weekdayIn(LocalDate first, Term term) {
        int which = context.words().ordinal(sentence, term.kinds().getOrDefault("weekday", -1) - 1);
        LocalDate day = first.with(TemporalAdjusters.dayOfWeekInMonth(which, DayOfWeek.of(weekday(term))));
        return Optional.of(day).filter(date -> date.getMonth() == first.getMonth());
    }

    private LocalDate namedMonth(int month) {
        LocalDate inYear = today.withDayOfMonth(1).withMonth(month);
        return month < today.getMonthValue() ? inYear.plusYears(1) : inYear;
    }

    private Optional<LocalDate> dated(Term term) {
        Integer year = term.kinds().get("year");
        return year == null
                ? yearless(today, month(term), dayOfMonth(term))
                : exact(DateWords.digits(sentence.norm(year)).orElseThrow(), month(term), dayOfMonth(term));
    }

    private int weekday(Term term) {
        return context.words().weekday(sentence, term.kinds().getOrDefault("weekday", -1));
    }

    private int month(Term term) {
        return context.words().month(sentence, term.place(MONTHS));
    }

    private int dayOfMonth(Term term) {
        return context.words().dayOfMonth(sentence, term.place(DAYS));
    }

    /** The first date with that day of the month on or after the day of writing. */
    private LocalDate nextDayOfMonth(int dayOfMonth) {
        LocalDate month = today.withDayOfMonth(1);
        for (int i = 0; i < 12; i++) {
            LocalDate in = month.plusMonths(i);
            if (dayOfMonth <= in.lengthOfMonth()) {
                LocalDate date = in.withDayOfMonth(dayOfMonth);
                if (!date.isBefore(today)) {
                    return date;
                }
            }
        }
        return today;
    }

    /** The first such day that is not over. */
    static Optional<LocalDate> yearless(LocalDate today, int month, int day) {
        for (int i = 0; i < YEARS_TO_LEAP_DAY; i++) {
            Optional<LocalDate> dated = exact(today.getYear() + i, month, day);
            if (dated.isPresent() && !dated.get().isBefore(today)) {
                return dated;
            }
        }
        return Optional.empty();
    }

    /** The day, where the calendar has it. */
    static Optional<LocalDate> exact(int year, int month, int day) {
        try {
            return Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
