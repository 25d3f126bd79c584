package org.squallnote.core.repetition;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The part of the words that says how often, as a rule: "every second Tuesday", "last working day of the month", "every 3
 * months on the 1st", "every year on 1 March".
 *
 * @param parts of the rule by name
 * @param daysOff what the words themselves say of days off: the last working day is the one up to the last day
 */
record Rhythm(Map<String, String> parts, DaysOff daysOff) {

    private static final String N = "(?<n>\\d{1,3}|other|two|three|four|five|six|second|third|fourth|fifth|sixth)";
    private static final String UNIT = "(?<unit>working day|day|week|fortnight|month|quarter|year)s?";
    private static final String PLACE = "(?<place>first|1st|second|2nd|third|3rd|fourth|4th|fifth|5th|last)";
    private static final Pattern EACH_UNIT =
            Pattern.compile("(?:every|each) (?:" + N + " )?" + UNIT + "(?:,? on (?<on>.+))?");
    private static final Pattern EACH_WEEKDAY = Pattern.compile("(?:every|each) (?:" + N + " )?(?<days>.+)");
    private static final Pattern OF_UNIT = Pattern.compile("(?:on )?(?:every |each )?(?:the )?(?<which>.+?)"
            + " (?:of|in) (?:the|each|every|a) (?<unit>month|quarter|year)");
    private static final Pattern BARE_UNITS = Pattern.compile(N + " " + UNIT);
    private static final Pattern WHICH_DAY =
            Pattern.compile("(?:the )?" + PLACE + " (?<what>working day|day|weekday|\\p{L}+)");
    private static final Pattern MONTH_DAY = Pattern.compile("(?:the )?(\\d{1,2})(?:st|nd|rd|th)?");
    private static final Pattern YEAR_DAY = Pattern.compile(
            "(?:the )?(?<day>\\d{1,2})(?:st|nd|rd|th)?(?: of)? (?<month>\\p{L}{3,9})|(?<month2>\\p{L}{3,9}) (?:the )?(?<day2>\\d{1,2})(?:st|nd|rd|th)?");
    private static final Pattern AND = Pattern.compile("\\s*(?:,| and | & )\\s*(?:and )?");
    private static final Pattern RANGE = Pattern.compile("(\\p{L}+)(?: to | ?[-–] ?)(\\p{L}+)");

    private static final Map<String, String> IN_FULL = Map.of(
            "daily", "every day",
            "weekly", "every week",
            "fortnightly", "every 2 weeks",
            "monthly", "every month",
            "quarterly", "every quarter",
            "yearly", "every year",
            "annually", "every year");
    private static final List<String> WEEKDAYS = List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU");
    private static final String WORKING_WEEK = "MO,TU,WE,TH,FR";
    private static final List<String> MONTHS = List.of(
            "january",
            "february",
            "march",
            "april",
            "may",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december");
    private static final Map<String, Integer> PLACES = Map.ofEntries(
            Map.entry("first", 1),
            Map.entry("1st", 1),
            Map.entry("second", 2),
            Map.entry("2nd", 2),
            Map.entry("third", 3),
            Map.entry("3rd", 3),
            Map.entry("fourth", 4),
            Map.entry("4th", 4),
            Map.entry("fifth", 5),
            Map.entry("5th", 5),
            Map.entry("last", -1));
    private static final Map<String, Integer> NUMBERS = Map.ofEntries(
            Map.entry("other", 2),
            Map.entry("two", 2),
            Map.entry("second", 2),
            Map.entry("three", 3),
            Map.entry("third", 3),
            Map.entry("four", 4),
            Map.entry("fourth", 4),
            Map.entry("five", 5),
            Map.entry("fifth", 5),
            Map.entry("six", 6),
            Map.entry("sixth", 6));

    /**
     * Reads it.
     *
     * @param words in small letters, with single spaces
     * @param bare whether "3 weeks" alone says how often
     */
    static Optional<Rhythm> read(String words, boolean bare) {
        int space = words.indexOf(' ');
        String first = space < 0 ? words : words.substring(0, space);
        String whole = IN_FULL.containsKey(first) ? IN_FULL.get(first) + words.substring(first.length()) : words;
        return ofUnit(whole)
                .or(() -> eachUnit(EACH_UNIT.matcher(whole)))
                .or(() ->
                        bare && BARE_UNITS.matcher(whole).matches() ? read("every " + whole, false) : Optional.empty())
                .or(() -> eachWeekday(whole));
    }

    /** "the last Friday of the month", "the 15th of every month". */
    private static Optional<Rhythm> ofUnit(String words) {
        Matcher match = OF_UNIT.matcher(words);
        return match.matches() ? within(match.group("unit"), 1, match.group("which")) : Optional.empty();
    }

    private static Optional<Rhythm> eachUnit(Matcher match) {
        if (!match.matches()) {
            return Optional.empty();
        }
        int n = match.group("n") == null ? 1 : number(match.group("n"));
        String on = match.group("on");
        String unit = match.group("unit");
        return switch (unit) {
            case "working day" -> n == 1 && on == null ? Optional.of(daily(1, DaysOff.LEFT_OUT)) : Optional.empty();
            case "day" -> on == null && n > 0 ? Optional.of(daily(n, DaysOff.KEPT)) : Optional.empty();
            case "week", "fortnight" -> weekly("week".equals(unit) ? n : 2 * n, on);
            default -> within(unit, n, on);
        };
    }

    private static Rhythm daily(int n, DaysOff daysOff) {
        return new Rhythm(Map.of("FREQ", "DAILY", "INTERVAL", String.valueOf(n)), daysOff);
    }

    private static Optional<Rhythm> weekly(int n, @Nullable String on) {
        Map<String, String> parts = every("WEEKLY", n);
        if (on != null) {
            Optional<String> days = weekdays(on);
            if (days.isEmpty()) {
                return Optional.empty();
            }
            parts.put("BYDAY", days.get());
        }
        return Optional.of(new Rhythm(parts, DaysOff.KEPT));
    }

    private static Optional<Rhythm> eachWeekday(String words) {
        Matcher match = EACH_WEEKDAY.matcher(words);
        if (!match.matches()) {
            return Optional.empty();
        }
        Matcher which = WHICH_DAY.matcher(words.replaceFirst("^(?:every|each) ", ""));
        if (which.matches() && ("first".equals(which.group("place")) || "last".equals(which.group("place")))) {
            return within("month", 1, which.group());
        }
        return weekly(match.group("n") == null ? 1 : number(match.group("n")), match.group("days"));
    }

    /** In each month, quarter or year. */
    private static Optional<Rhythm> within(String unit, int n, @Nullable String on) {
        boolean year = "year".equals(unit);
        Map<String, String> parts = every(year ? "YEARLY" : "MONTHLY", "quarter".equals(unit) ? 3 * n : n);
        if (on == null) {
            return Optional.of(new Rhythm(parts, DaysOff.KEPT));
        }
        Matcher which = WHICH_DAY.matcher(on);
        if (which.matches()) {
            return whichDay(unit, parts, PLACES.getOrDefault(which.group("place"), 1), which.group("what"));
        }
        if (year) {
            return yearDay(parts, on);
        }
        List<String> days = new ArrayList<>();
        for (String each : AND.split(on)) {
            Matcher day = MONTH_DAY.matcher(each);
            if (!day.matches()) {
                return Optional.empty();
            }
            days.add(String.valueOf(Integer.parseInt(day.group(1))));
        }
        parts.put("BYMONTHDAY", String.join(",", days));
        return Optional.of(new Rhythm(parts, DaysOff.KEPT));
    }

    private static Optional<Rhythm> yearDay(Map<String, String> parts, String on) {
        Matcher date = YEAR_DAY.matcher(on);
        if (!date.matches()) {
            return Optional.empty();
        }
        String name = date.group("month") == null ? date.group("month2") : date.group("month");
        int month = IntStream.range(0, MONTHS.size())
                .filter(i -> MONTHS.get(i).startsWith(name))
                .findFirst()
                .orElse(-1);
        if (month < 0) {
            return Optional.empty();
        }
        String day = date.group("day") == null ? date.group("day2") : date.group("day");
        parts.put("BYMONTH", String.valueOf(month + 1));
        parts.put("BYMONTHDAY", String.valueOf(Integer.parseInt(day)));
        return Optional.of(new Rhythm(parts, DaysOff.KEPT));
    }

    /** "the last working day", "the first Monday", "the last day". */
    private static Optional<Rhythm> whichDay(String unit, Map<String, String> parts, int place, String what) {
        boolean last = place < 0;
        if ("day".equals(what) || "working day".equals(what)) {
            if (!last && place > 1 && "working day".equals(what)) {
                return Optional.empty();
            }
            if ("quarter".equals(unit)) {
                parts.put("FREQ", "YEARLY");
                parts.remove("INTERVAL");
                parts.put("BYMONTH", last ? "3,6,9,12" : "1,4,7,10");
            } else if ("year".equals(unit)) {
                parts.put("BYMONTH", last ? "12" : "1");
            }
            parts.put("BYMONTHDAY", String.valueOf(place));
            DaysOff daysOff =
                    "day".equals(what) ? DaysOff.KEPT : last ? DaysOff.WORKING_DAY_BEFORE : DaysOff.WORKING_DAY_AFTER;
            return Optional.of(new Rhythm(parts, daysOff));
        }
        if (!"month".equals(unit)) {
            return Optional.empty();
        }
        return weekday(what).map(day -> {
            parts.put("BYDAY", place + day);
            return new Rhythm(parts, DaysOff.KEPT);
        });
    }

    private static Map<String, String> every(String frequency, int n) {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("FREQ", frequency);
        parts.put("INTERVAL", String.valueOf(n));
        return parts;
    }

    private static int number(String word) {
        return NUMBERS.containsKey(word) ? NUMBERS.get(word) : Integer.parseInt(word);
    }

    private static Optional<String> weekdays(String words) {
        if ("weekday".equals(words) || "weekdays".equals(words)) {
            return Optional.of(WORKING_WEEK);
        }
        Matcher range = RANGE.matcher(words);
        if (range.matches()) {
            Optional<Integer> from = weekday(range.group(1)).map(WEEKDAYS::indexOf);
            Optional<Integer> to = weekday(range.group(2)).map(WEEKDAYS::indexOf);
            return from.isPresent() && to.isPresent() && from.get() < to.get()
                    ? Optional.of(String.join(",", WEEKDAYS.subList(from.get(), to.get() + 1)))
                    : Optional.empty();
        }
        List<Optional<String>> days =
                AND.splitAsStream(words).map(Rhythm::weekday).toList();
        return days.stream().allMatch(Optional::isPresent)
                ? Optional.of(days.stream()
                        .map(Optional::orElseThrow)
                        .distinct()
                        .sorted((a, b) -> WEEKDAYS.indexOf(a) - WEEKDAYS.indexOf(b))
                        .collect(Collectors.joining(",")))
                : Optional.empty();
    }

    private static final Pattern WEEKDAY = Pattern.compile(
            "(?:(mo)n(?:day)?|(tu)es?(?:day)?|(we)d(?:nesday)?|(th)u(?:rs?(?:day)?)?|(fr)i(?:day)?|(sa)t(?:urday)?|(su)n(?:day)?)s?");

    private static Optional<String> weekday(String word) {
        return WEEKDAY.matcher(word).matches()
                ? Optional.of(word.substring(0, 2).toUpperCase(Locale.ROOT))
                : Optional.empty();
    }
}
