package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/**
 * Reckons the day that a rule of {@code dates.rules} gives, in these words: {@code today 1}, {@code end of week 0},
 * {@code end of month named}, {@code weekday in next month}, {@code feast 12 24}. Weeks and months are counted from the
 * one of the day of writing.
 */
final class Reckoning {

    private static final int MIDDLE_OF_A_MONTH = 15;

    private static final int FEW_DAYS = 4;

    private final Sentence sentence;
    private final DateContext context;
    private final LocalDate today;
    private final PeriodEnds ends;

    Reckoning(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.today = context.today();
        this.ends = new PeriodEnds(context);
    }

    /**
     * The day in words of a rule; nothing where there is none, as the fifth Friday of a month that has four.
     *
     * @throws IllegalStateException when no day is reckoned so
     */
    Optional<LocalDate> day(String words, Term term) {
        String[] said = words.split(" ");
        String last = said[said.length - 1];
        if (words.startsWith("today")) {
            return Optional.of(today.plusDays(said.length > 1 ? Integer.parseInt(last) : 0));
        }
        if (words.contains("weekday in")) {
            return weekdayInMonth(words, term);
        }
        if (words.contains("of week")) {
            return Optional.of(inWeek(said[0], said[1], Integer.parseInt(last)));
        }
        if (words.contains("month")) {
            return Optional.of(inMonth(said[0], last, term));
        }
        return Optional.of(
                switch (said[0]) {
                    case "next" ->
                        today.with(TemporalAdjusters.nextOrSame(DayOfWeek.valueOf(last.toUpperCase(Locale.ROOT))));
                    case "feast" ->
                        next(MonthDay.of(Integer.parseInt(said[1]), Integer.parseInt(last))
                                .atYear(today.getYear()));
                    case "easter" -> fromEaster(Integer.parseInt(last));
                    case "end" -> words.equals("end of year") ? ends.ofYear() : endOfQuarter(last, term);
                    default -> throw new IllegalStateException("No day is reckoned so: " + words);
                });
    }

    private LocalDate inWeek(String part, String day, int weeks) {
        LocalDate monday =
                today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).plusWeeks(weeks);
        return switch (part) {
            case "end" -> weeks == 0 ? ends.ofWeek(0) : ends.ofWeekFrom(monday);
            case "start" -> startOfWeek(monday);
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
                ? DateWords.month(sentence.norm(term.from()).substring("mid-".length()))
                : DateWords.month(sentence, whole);
        LocalDate inMonth = today.withDayOfMonth(1).withMonth(month);
        return whole == null ? next(inMonth.withDayOfMonth(MIDDLE_OF_A_MONTH)) : nextMonth(inMonth);
    }

    private LocalDate endOfQuarter(String which, Term term) {
        if (!which.equals("named")) {
            int lastMonth = (today.getMonthValue() + 2) / 3 * 3;
            return ends.ofMonth(today.withDayOfMonth(1).withMonth(lastMonth));
        }
        int quarter = sentence.norm(term.kinds().getOrDefault("quarter", 0)).charAt(1) - '0';
        return ends.ofMonth(nextMonth(today.withDayOfMonth(1).withMonth(3 * quarter)));
    }

    private Optional<LocalDate> weekdayInMonth(String words, Term term) {
        LocalDate month = today.withDayOfMonth(1);
        if (words.endsWith("next month")) {
            month = month.plusMonths(1);
        } else if (!words.endsWith("this month")) {
            int named = DateWords.month(sentence, term.kinds().getOrDefault("month", 0));
            month = month.withMonth(named).plusYears(named < month.getMonthValue() ? 1 : 0);
        }
        int weekdayAt = term.kinds().getOrDefault("weekday", 0);
        DayOfWeek day = DayOfWeek.of(DateWords.weekdayIndex(sentence, weekdayAt));
        if (words.startsWith("last")) {
            return Optional.of(month.with(TemporalAdjusters.lastInMonth(day)));
        }
        int which = DateWords.ordinal(sentence, weekdayAt - 1);
        LocalDate date = month.with(TemporalAdjusters.dayOfWeekInMonth(which, day));
        return date.getMonth() == month.getMonth() ? Optional.of(date) : Optional.empty();
    }

    /** This year's day or, once it is over, the next year's. */
    private LocalDate next(LocalDate day) {
        return day.isBefore(today) ? day.plusYears(1) : day;
    }

    /** The same of a month, which is over with its last day. */
    private LocalDate nextMonth(LocalDate inMonth) {
        boolean over = inMonth.with(TemporalAdjusters.lastDayOfMonth()).isBefore(today);
        return over ? inMonth.plusYears(1) : inMonth;
    }

    private LocalDate fromEaster(int days) {
        LocalDate date = Easter.sundayOf(today.getYear()).plusDays(days);
        return date.isBefore(today) ? Easter.sundayOf(today.getYear() + 1).plusDays(days) : date;
    }
}
