package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.squallnote.core.text.WordList;

/** Weekdays, months and numbers as words, misspelt ones too. */
final class DateWords {

    /** What {@link #number} and its like answer for other words. */
    static final int NONE = -1;

    private static final Map<String, DayOfWeek> WEEKDAYS = new HashMap<>();
    private static final Map<String, Month> MONTHS = new HashMap<>();
    private static final Map<String, Integer> NUMBERS = new HashMap<>();
    private static final Map<String, Integer> ORDINALS = new HashMap<>();
    private static final Set<String> AFTER_A_DATE = new HashSet<>(WordList.lines(DateWords.class, "after-a-date.txt"));
    private static final int SHORTEST_GUESSED = 6;

    static {
        for (DayOfWeek day : DayOfWeek.values()) {
            String name = day.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT);
            WEEKDAYS.put(name, day);
        }
        WEEKDAYS.put("sat", DayOfWeek.SATURDAY);
        WEEKDAYS.put("sun", DayOfWeek.SUNDAY);
        for (Month month : Month.values()) {
            String name = month.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT);
            MONTHS.put(name, month);
            MONTHS.put(name.substring(0, 3), month);
        }
        MONTHS.put("sept", Month.SEPTEMBER);
        for (String line : WordList.lines(DateWords.class, "numbers.txt")) {
            String[] words = line.split(" ");
            int value = Integer.parseInt(words[0]);
            NUMBERS.put(words[1], value);
            if (words.length > 2) {
                ORDINALS.put(words[2], value);
            }
        }
    }

    private DateWords() {}

    /** All weekdays, months, numbers and ordinals as they are written right. */
    static Set<String> known() {
        Set<String> known = new HashSet<>(WEEKDAYS.keySet());
        known.addAll(MONTHS.keySet());
        known.addAll(NUMBERS.keySet());
        known.addAll(ORDINALS.keySet());
        return known;
    }

    /** Whether the word is a weekday or a month with a slip in it. */
    static boolean isSlipOfADay(String word) {
        return word.length() >= SHORTEST_GUESSED
                && (word.endsWith("y") || word.endsWith("er"))
                && (isWeekday(word) || month(word) != NONE);
    }

    static boolean isWeekday(String word) {
        return weekdayIndex(word) != NONE;
    }

    /** 1 for Monday to 7, or {@link #NONE}. */
    static int weekdayIndex(String word) {
        DayOfWeek day = WEEKDAYS.get(word);
        if (day == null && word.length() >= SHORTEST_GUESSED && word.endsWith("y")) {
            day = closest(word, WEEKDAYS);
        }
        return day == null ? NONE : day.getValue();
    }

    /** 1 to 12, or {@link #NONE}. */
    static int month(String word) {
        Month month = MONTHS.get(word);
        if (month == null && word.length() >= SHORTEST_GUESSED && (word.endsWith("y") || word.endsWith("er"))) {
            month = closest(word, MONTHS);
        }
        return month == null ? NONE : month.getValue();
    }

    /** A whole number in digits or words, or {@link #NONE}. */
    static int number(String word) {
        Integer value = NUMBERS.get(word);
        if (value != null) {
            return value;
        }
        return digits(word).orElse(NONE);
    }

    /** "30th", "fifth": the day of a month, or {@link #NONE}. */
    static int ordinal(String word) {
        Integer value = ORDINALS.get(word);
        if (value != null) {
            return value;
        }
        int length = word.length();
        if (length < 3 || length > 4) {
            return NONE;
        }
        String suffix = word.substring(length - 2);
        if (!suffix.equals("st") && !suffix.equals("nd") && !suffix.equals("rd") && !suffix.equals("th")) {
            return NONE;
        }
        int day = digits(word.substring(0, length - 2)).orElse(NONE);
        return day >= 1 && day <= 31 ? day : NONE;
    }

    static boolean isWrittenOrdinal(String word) {
        return ORDINALS.containsKey(word);
    }

    /** Whether a date behind the word is a limit: "by the first", "before Wednesday's meeting". */
    static boolean isLimit(String word) {
        return switch (word) {
            case "by", "before", "until", "till" -> true;
            default -> false;
        };
    }

    static OptionalInt digits(String word) {
        if (word.isEmpty() || word.length() > 4) {
            return OptionalInt.empty();
        }
        int value = 0;
        for (int i = 0; i < word.length(); i++) {
            char c = word.charAt(i);
            if (c < '0' || c > '9') {
                return OptionalInt.empty();
            }
            value = value * 10 + (c - '0');
        }
        return OptionalInt.of(value);
    }

    /** Whether a bare number or ordinal before this word can be a time or a day: "by 5 tomorrow", not "by 5 people". */
    static boolean mayFollowADate(String word) {
        return word.isEmpty() || AFTER_A_DATE.contains(word) || isWeekday(word);
    }

    private static <T> T closest(String word, Map<String, T> known) {
        for (Map.Entry<String, T> entry : known.entrySet()) {
            String right = entry.getKey();
            if (right.length() >= SHORTEST_GUESSED
                    && right.charAt(0) == word.charAt(0)
                    && Math.abs(right.length() - word.length()) <= 1
                    && isOneSlipAway(word, right)) {
                return entry.getValue();
            }
        }
        return none();
    }

    @SuppressWarnings({"NullAway", "TypeParameterUnusedInFormals"})
    private static <T> T none() {
        return null;
    }

    /** Whether one letter was left out, added, changed, or two neighbours swapped. */
    static boolean isOneSlipAway(String a, String b) {
        int from = 0;
        int shorter = Math.min(a.length(), b.length());
        while (from < shorter && a.charAt(from) == b.charAt(from)) {
            from++;
        }
        int ends = 0;
        while (ends < shorter - from && a.charAt(a.length() - 1 - ends) == b.charAt(b.length() - 1 - ends)) {
            ends++;
        }
        int restA = a.length() - from - ends;
        int restB = b.length() - from - ends;
        if (restA <= 1 && restB <= 1) {
            return true;
        }
        return restA == 2 && restB == 2 && a.charAt(from) == b.charAt(from + 1) && a.charAt(from + 1) == b.charAt(from);
    }
}
