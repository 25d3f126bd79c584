package org.squallnote.core.repetition;

import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A repetition in words; read again by {@link TypedRepetition}, they say the same. */
public final class RepetitionWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK);
    private static final List<String> CODES = List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU");
    private static final List<String> NAMES =
            List.of("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday");
    private static final List<String> MONTHS = List.of(
            "January",
            "February",
            "March",
            "April",
            "May",
            "June",
            "July",
            "August",
            "September",
            "October",
            "November",
            "December");
    private static final Map<String, String> PLACES =
            Map.of("1", "first", "2", "second", "3", "third", "4", "fourth", "5", "fifth", "-1", "last");
    private static final Map<String, String> UNITS =
            Map.of("DAILY", "day", "WEEKLY", "week", "MONTHLY", "month", "YEARLY", "year");

    private RepetitionWords() {}

    /** "every 2 weeks on Tuesday, not on days off, until 30 June 2026". */
    public static String of(Repetition repetition) {
        Map<String, String> parts = new HashMap<>(new DayRule(repetition.rule()).parts());
        DaysOff said = repetition.daysOff();
        Optional<String> working = working(parts, said);
        StringBuilder words =
                new StringBuilder(working.or(() -> plain(parts)).orElse("by the rule " + repetition.rule()));
        if (working.isEmpty()) {
            words.append(
                    switch (said) {
                        case KEPT -> "";
                        case WORKING_DAY_AFTER -> ", not on days off";
                        case WORKING_DAY_BEFORE -> ", on days off the working day before";
                        case LEFT_OUT -> ", left out on days off";
                    });
        }
        if (repetition.whenDone()) {
            words.append(", counted from when it is done");
        }
        if (repetition.times() != null) {
            words.append(", ").append(repetition.times()).append(" times");
        }
        if (repetition.until() != null) {
            words.append(", until ").append(DAY.format(repetition.until()));
        }
        if (repetition.daysBefore() != null) {
            words.append(", shown ")
                    .append(repetition.daysBefore())
                    .append(repetition.daysBefore() == 1 ? " day before" : " days before");
        }
        return words.toString();
    }

    /** What is said by "working day": a day off is moved or left out by the words themselves. */
    private static Optional<String> working(Map<String, String> parts, DaysOff daysOff) {
        if (parts.equals(Map.of("FREQ", "DAILY")) && daysOff == DaysOff.LEFT_OUT) {
            return Optional.of("every working day");
        }
        String place = daysOff == DaysOff.WORKING_DAY_BEFORE && "-1".equals(parts.get("BYMONTHDAY"))
                ? "last"
                : daysOff == DaysOff.WORKING_DAY_AFTER && "1".equals(parts.get("BYMONTHDAY")) ? "first" : null;
        return place == null ? Optional.empty() : placeOf(parts, place + " working day");
    }

    /** "every month on the last …", with the months that stand for quarters and years. */
    private static Optional<String> placeOf(Map<String, String> parts, String which) {
        String months = parts.get("BYMONTH");
        boolean first = which.startsWith("first");
        int others = parts.size() - 2 - (months == null ? 0 : 1) - (parts.containsKey("INTERVAL") ? 1 : 0);
        if (others != 0) {
            return Optional.empty();
        }
        if ("MONTHLY".equals(parts.get("FREQ")) && months == null) {
            return Optional.of(every(parts) + " on the " + which);
        }
        if ("YEARLY".equals(parts.get("FREQ")) && Objects.equals(months, first ? "1" : "12")) {
            return Optional.of(every(parts) + " on the " + which);
        }
        boolean quarters = Objects.equals(months, first ? "1,4,7,10" : "3,6,9,12") && !parts.containsKey("INTERVAL");
        return "YEARLY".equals(parts.get("FREQ")) && quarters
                ? Optional.of("every quarter on the " + which)
                : Optional.empty();
    }

    private static Optional<String> plain(Map<String, String> all) {
        Map<String, String> parts = new HashMap<>(all);
        String frequency = Objects.requireNonNullElse(parts.remove("FREQ"), "");
        parts.remove("INTERVAL");
        String byDay = parts.remove("BYDAY");
        String monthDay = parts.remove("BYMONTHDAY");
        String month = parts.remove("BYMONTH");
        String every = every(all);
        if (!parts.isEmpty()) {
            return Optional.empty();
        }
        if (byDay == null && monthDay == null && month == null) {
            return Optional.of(every);
        }
        if ("WEEKLY".equals(frequency) && monthDay == null && month == null) {
            return weekdays(byDay).map(days -> all.containsKey("INTERVAL") ? every + " on " + days : "every " + days);
        }
        if (byDay == null && "-1".equals(monthDay)) {
            return placeOf(all, "last day");
        }
        if ("MONTHLY".equals(frequency) && month == null) {
            return byDay == null
                    ? monthDays(monthDay).map(days -> every + " on the " + days)
                    : monthDay == null ? placed(byDay).map(day -> every + " on the " + day) : Optional.empty();
        }
        boolean oneDate = "YEARLY".equals(frequency)
                && byDay == null
                && month != null
                && monthDay != null
                && month.matches("\\d+")
                && monthDay.matches("\\d+");
        return oneDate
                ? Optional.of(every + " on " + monthDay + " " + MONTHS.get(Integer.parseInt(month) - 1))
                : Optional.empty();
    }

    private static String every(Map<String, String> parts) {
        String unit = UNITS.getOrDefault(parts.getOrDefault("FREQ", ""), "day");
        String interval = parts.get("INTERVAL");
        return interval == null ? "every " + unit : "every " + interval + " " + unit + "s";
    }

    private static Optional<String> weekdays(@Nullable String codes) {
        if (codes == null) {
            return Optional.empty();
        }
        if ("MO,TU,WE,TH,FR".equals(codes)) {
            return Optional.of("weekday");
        }
        List<String> all = Arrays.asList(codes.split(","));
        return CODES.containsAll(all)
                ? Optional.of(listed(
                        all.stream().map(code -> NAMES.get(CODES.indexOf(code))).toList()))
                : Optional.empty();
    }

    /** "2TU" is the second Tuesday. */
    private static Optional<String> placed(String code) {
        if (code.length() < 3 || !CODES.contains(code.substring(code.length() - 2))) {
            return Optional.empty();
        }
        String day = NAMES.get(CODES.indexOf(code.substring(code.length() - 2)));
        return Optional.ofNullable(PLACES.get(code.substring(0, code.length() - 2)))
                .map(place -> place + " " + day);
    }

    private static Optional<String> monthDays(@Nullable String days) {
        return days == null || !days.matches("\\d+(,\\d+)*")
                ? Optional.empty()
                : Optional.of(listed(Arrays.stream(days.split(","))
                        .map(RepetitionWords::ordinal)
                        .toList()));
    }

    private static String ordinal(String number) {
        int n = Integer.parseInt(number);
        String ending = n / 10 == 1
                ? "th"
                : switch (n % 10) {
                    case 1 -> "st";
                    case 2 -> "nd";
                    case 3 -> "rd";
                    default -> "th";
                };
        return n + ending;
    }

    private static String listed(List<String> words) {
        return words.size() == 1
                ? words.get(0)
                : words.stream().limit(words.size() - 1L).collect(Collectors.joining(", ")) + " and "
                        + words.get(words.size() - 1);
    }
}
