package org.squallnote.core.repetition;

import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.TypedDate;

/**
 * A repetition as somebody types it: "every second Tuesday", "last working day of the month", "every 3 months on the 1st, not
 * on days off, until 30 June".
 *
 * @param repetition what it says
 * @param from from when on, where that is said
 */
public record TypedRepetition(Repetition repetition, Optional<LocalDate> from) {

    /** Longer input is none. */
    public static final int LONGEST = 200;

    private static final int MOST_TIMES = 1000;
    private static final int MOST_DAYS_BEFORE = 366;

    private static final Pattern WHEN_DONE = Pattern.compile(
            ",? ?(?:counted )?(?:from|after) (?:the day )?(?:when |that )?(?:(?:it is|it's|it was|the last one is|the last one was) )?(?:done|finished)$");
    private static final Pattern DAYS_OFF = Pattern.compile(
            ",? ?(?:(?<after>(?:but )?(?:not|never) on (?:days off|a day off|holidays))|(?<before>(?:or|on days off) the working day before)|(?<out>(?:left out|except) on days off))$");
    private static final Pattern TIMES = Pattern.compile(",? ?(\\d{1,4}) times$");
    private static final Pattern UNTIL = Pattern.compile(",? ?(?:until|till) (?<day>[^,]{1,40})$");
    private static final Pattern FROM =
            Pattern.compile(",? ?(?:from|starting|as of) (?:on )?(?<day>[^,]{1,40}?)(?: on)?$");
    private static final Pattern BEFORE = Pattern.compile(",? ?(?:shown|in sight) (\\d{1,3}) days? before$");
    private static final Pattern BY_RULE = Pattern.compile("(?:by the rule )?(?:rrule:)?(?<rule>freq=.+)");

    /** What the words say beside the rhythm. */
    private static final class Limits {
        private String words;
        private boolean whenDone;
        private @Nullable DaysOff daysOff;
        private @Nullable LocalDate until;
        private @Nullable Integer times;
        private @Nullable Integer daysBefore;
        private @Nullable LocalDate from;

        private Limits(String words) {
            this.words = words;
        }
    }

    /** Reads it; absent when the words say no repetition. */
    public static Optional<TypedRepetition> read(String typed, DateContext dates) {
        if (typed.isBlank() || typed.length() > LONGEST) {
            return Optional.empty();
        }
        Limits limits = new Limits(typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT));
        // Each turn takes one off the end; there are six kinds of them.
        for (int turn = 0; turn < 6 && takenOff(limits, dates); turn++) {
            // The rest may end with another one.
        }
        return rhythm(limits).flatMap(rhythm -> made(rhythm, limits));
    }

    private static Optional<Rhythm> rhythm(Limits limits) {
        Matcher byRule = BY_RULE.matcher(limits.words);
        return byRule.matches()
                ? Optional.of(new Rhythm(DayRule.parts(byRule.group("rule")), DaysOff.KEPT))
                : Rhythm.read(limits.words, limits.whenDone);
    }

    private static Optional<TypedRepetition> made(Rhythm rhythm, Limits limits) {
        Map<String, String> parts = rhythm.parts();
        return DayRule.of(parts)
                .map(rule -> new TypedRepetition(
                        new Repetition(
                                rule.text(),
                                limits.whenDone,
                                limits.daysOff == null ? rhythm.daysOff() : limits.daysOff,
                                limits.until,
                                limits.times,
                                limits.daysBefore),
                        Optional.ofNullable(limits.from)));
    }

    private static boolean takenOff(Limits limits, DateContext dates) {
        Matcher done = WHEN_DONE.matcher(limits.words);
        if (!limits.whenDone && done.find()) {
            limits.whenDone = true;
            return cut(limits, done);
        }
        Matcher off = DAYS_OFF.matcher(limits.words);
        if (limits.daysOff == null && off.find()) {
            limits.daysOff = off.group("after") != null
                    ? DaysOff.WORKING_DAY_AFTER
                    : off.group("before") != null ? DaysOff.WORKING_DAY_BEFORE : DaysOff.LEFT_OUT;
            return cut(limits, off);
        }
        Matcher often = TIMES.matcher(limits.words);
        if (limits.times == null && often.find() && within(often.group(1), MOST_TIMES)) {
            limits.times = Integer.valueOf(often.group(1));
            return cut(limits, often);
        }
        Matcher before = BEFORE.matcher(limits.words);
        if (limits.daysBefore == null && before.find() && Integer.parseInt(before.group(1)) <= MOST_DAYS_BEFORE) {
            limits.daysBefore = Integer.valueOf(before.group(1));
            return cut(limits, before);
        }
        return takenOffDay(limits, dates);
    }

    private static boolean takenOffDay(Limits limits, DateContext dates) {
        Matcher end = UNTIL.matcher(limits.words);
        if (limits.until == null && end.find()) {
            limits.until = day(end, dates, true);
            return limits.until != null && cut(limits, end);
        }
        Matcher start = FROM.matcher(limits.words);
        if (limits.from == null && start.find()) {
            limits.from = day(start, dates, false);
            return limits.from != null && cut(limits, start);
        }
        return false;
    }

    private static boolean within(String number, int most) {
        int value = Integer.parseInt(number);
        return value >= 1 && value <= most;
    }

    /** The day; a month alone is meant with its last day. */
    private static @Nullable LocalDate day(Matcher match, DateContext dates, boolean last) {
        String words = match.group("day").strip();
        Optional<Month> month = Arrays.stream(Month.values())
                .filter(each -> last && each.name().equalsIgnoreCase(words))
                .findFirst();
        if (month.isPresent()) {
            YearMonth thisYear = YearMonth.of(dates.today().getYear(), month.get());
            return (thisYear.atEndOfMonth().isBefore(dates.today()) ? thisYear.plusYears(1) : thisYear).atEndOfMonth();
        }
        return TypedDate.read(words, dates).map(DatePhrase::day).orElse(null);
    }

    private static boolean cut(Limits limits, Matcher match) {
        limits.words = limits.words.substring(0, match.start());
        return true;
    }
}
