package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;
import org.squallnote.core.text.WordValues;

/** Weekdays, months and numbers as words, misspelt ones too. */
final class DateWords {

    /** What {@link #number} and its like answer for other words. */
    static final int NONE = WordValues.NONE;

    private static final int SHORTEST_GUESSED = 6;

    private static final WordValues WEEKDAYS = new WordValues(weekdays());
    private static final WordValues MONTHS = new WordValues(months());
    private static final WordValues NUMBERS = new WordValues(numbers(1));
    private static final WordValues ORDINALS = new WordValues(numbers(2));
    private static final List<String> LONG_WEEKDAYS = guessable(WEEKDAYS);
    private static final List<String> LONG_MONTHS = guessable(MONTHS);
    private static final WordSet AFTER_A_DATE = WordSet.listed(DateWords.class, "after-a-date.txt");

    private static Map<String, Integer> weekdays() {
        Map<String, Integer> weekdays = new HashMap<>(Map.of("sat", 6, "sun", 7));
        for (DayOfWeek day : DayOfWeek.values()) {
            weekdays.put(day.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT), day.getValue());
        }
        return weekdays;
    }

    private static Map<String, Integer> months() {
        Map<String, Integer> months = new HashMap<>(Map.of("sept", 9));
        for (Month month : Month.values()) {
            String name = month.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT);
            months.put(name, month.getValue());
            months.put(name.substring(0, 3), month.getValue());
        }
        return months;
    }

    /** The first column of the list holds values, the second numbers, the third ordinals. */
    private static Map<String, Integer> numbers(int column) {
        Map<String, Integer> numbers = new HashMap<>();
        for (String line : WordList.lines(DateWords.class, "numbers.txt")) {
            String[] words = line.split(" ");
            if (words.length > column) {
                numbers.put(words[column], Integer.parseInt(words[0]));
            }
        }
        return numbers;
    }

    private DateWords() {}

    private static List<String> guessable(WordValues known) {
        return known.words().stream()
                .filter(word -> word.length() >= SHORTEST_GUESSED)
                .toList();
    }

    /** All weekdays, months, numbers and ordinals as they are written right. */
    static Set<String> known() {
        Set<String> known = new HashSet<>(WEEKDAYS.words());
        known.addAll(MONTHS.words());
        known.addAll(NUMBERS.words());
        known.addAll(ORDINALS.words());
        return known;
    }

    /** Whether the word is a weekday or a month with a slip in it. */
    static boolean isSlipOfADay(String word) {
        return endsAsADay(word) && (closest(word, WEEKDAYS) != NONE || closest(word, MONTHS) != NONE);
    }

    /** Whether a word is long enough to guess and ends as weekdays and some months do. */
    private static boolean endsAsADay(String word) {
        if (word.length() < SHORTEST_GUESSED) {
            return false;
        }
        char last = word.charAt(word.length() - 1);
        return last == 'y' || (last == 'r' && word.charAt(word.length() - 2) == 'e');
    }

    static boolean isWeekday(Sentence sentence, int index) {
        return weekdayIndex(sentence, index) != NONE;
    }

    /** 1 for Monday to 7, or {@link #NONE}. */
    static int weekdayIndex(Sentence sentence, int index) {
        int day = WEEKDAYS.at(sentence, index);
        return day == NONE ? slipOf(sentence.norm(index), WEEKDAYS) : day;
    }

    /** The same for a word that stands in no sentence. */
    static int weekdayIndex(String word) {
        int day = WEEKDAYS.of(word);
        return day == NONE ? slipOf(word, WEEKDAYS) : day;
    }

    /** 1 to 12, or {@link #NONE}. */
    static int month(Sentence sentence, int index) {
        int month = MONTHS.at(sentence, index);
        return month == NONE ? slipOf(sentence.norm(index), MONTHS) : month;
    }

    /** The same for a word that stands in no sentence. */
    static int month(String word) {
        int month = MONTHS.of(word);
        return month == NONE ? slipOf(word, MONTHS) : month;
    }

    private static int slipOf(String word, WordValues known) {
        return endsAsADay(word) ? closest(word, known) : NONE;
    }

    /** A whole number in digits or words, or {@link #NONE}. */
    static int number(Sentence sentence, int index) {
        int value = NUMBERS.at(sentence, index);
        return value == NONE ? digits(sentence.norm(index)).orElse(NONE) : value;
    }

    /** "30th", "fifth": the day of a month, or {@link #NONE}. */
    static int ordinal(Sentence sentence, int index) {
        int value = ORDINALS.at(sentence, index);
        return value == NONE ? ordinalInDigits(sentence.norm(index)) : value;
    }

    private static int ordinalInDigits(String word) {
        int length = word.length();
        if (length < 3 || length > 4 || !Character.isDigit(word.charAt(0))) {
            return NONE;
        }
        String suffix = word.substring(length - 2);
        if (!suffix.equals("st") && !suffix.equals("nd") && !suffix.equals("rd") && !suffix.equals("th")) {
            return NONE;
        }
        int day = digits(word.substring(0, length - 2)).orElse(NONE);
        return day >= 1 && day <= 31 ? day : NONE;
    }

    static boolean isWrittenOrdinal(Sentence sentence, int index) {
        return ORDINALS.at(sentence, index) != NONE;
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
    static boolean mayFollowADate(Sentence sentence, int index) {
        return index >= sentence.size() || AFTER_A_DATE.has(sentence, index) || isWeekday(sentence, index);
    }

    private static int closest(String word, WordValues known) {
        for (String right : known == MONTHS ? LONG_MONTHS : LONG_WEEKDAYS) {
            if (right.charAt(0) == word.charAt(0)
                    && Math.abs(right.length() - word.length()) <= 1
                    && isOneSlipAway(word, right)) {
                return known.of(right);
            }
        }
        return NONE;
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
