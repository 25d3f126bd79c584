package org.squallnote.core.dates;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;
import org.squallnote.core.rule.TermBook;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;
import org.squallnote.core.text.WordValues;

/** Weekdays, months, numbers and units as words of a language. Weekdays and months may be misspelt. */
final class DateWords {

    /** What {@link #number} and its like answer for other words. */
    static final int NONE = WordValues.NONE;

    private static final int LAST_DAY_OF_A_MONTH = 31;

    /** The names of units whose words stand for so many of them. */
    static final List<String> UNITS = List.of("days", "weeks", "months", "minutes");

    private final SpeltWords weekdays;
    private final SpeltWords months;
    private final WordValues numbers;
    private final WordValues ordinals;
    private final Map<String, WordValues> units = new HashMap<>();
    /** All words that stand for something. */
    private final WordSet standing;

    private final Map<DateClass, WordSet> classes = new EnumMap<>(DateClass.class);

    /** The words of a file of rules, as its lines {@code values} and {@code words} tell them. */
    DateWords(TermBook terms) {
        weekdays = new SpeltWords(new WordValues(terms.values("weekday")));
        months = new SpeltWords(new WordValues(terms.values("month")));
        numbers = new WordValues(terms.values("number"));
        ordinals = new WordValues(terms.values("ordinal"));
        UNITS.forEach(unit -> units.put(unit, new WordValues(terms.values(unit))));
        Set<String> all = known();
        units.values().forEach(unit -> all.addAll(unit.words()));
        standing = WordSet.of(all);
        for (DateClass one : DateClass.values()) {
            classes.put(one, WordSet.of(terms.words(one.listed())));
        }
    }

    /** The words of a class. */
    WordSet words(DateClass one) {
        return Objects.requireNonNull(classes.get(one));
    }

    /** All weekdays, months, numbers and ordinals as they are written right. */
    Set<String> known() {
        Set<String> known = new HashSet<>(numbers.words());
        known.addAll(ordinals.words());
        known.addAll(weekdays.words());
        known.addAll(months.words());
        return known;
    }

    /** Whether a word is no number, no unit, no weekday and no month, also with a slip or as "Friday's". */
    boolean standsForNothing(Sentence sentence, int index) {
        if (index < 0 || index >= sentence.size() || standing.has(sentence, index)) {
            return false;
        }
        String word = sentence.norm(index);
        return !word.isEmpty()
                && !Character.isDigit(word.charAt(0))
                && word.indexOf('\'') < 0
                && !isSlipOfADay(word)
                && !sentence.at(index).is("q1", "q2", "q3", "q4");
    }

    /** Whether the word is a weekday or a month with a slip in it. */
    boolean isSlipOfADay(String word) {
        return SpeltWords.endsAsADay(word) && (weekdays.slipIn(word) != NONE || months.slipIn(word) != NONE);
    }

    /** 1 for Monday to 7, or {@link #NONE}. */
    int weekday(Sentence sentence, int index) {
        return weekdays.at(sentence, index);
    }

    /** The same for a word that stands in no sentence. */
    int weekday(String word) {
        return weekdays.of(word);
    }

    /** 1 to 12, or {@link #NONE}. */
    int month(Sentence sentence, int index) {
        return months.at(sentence, index);
    }

    /** The same for a word that stands in no sentence. */
    int month(String word) {
        return months.of(word);
    }

    /** A whole number in digits or words, or {@link #NONE}. */
    int number(Sentence sentence, int index) {
        int value = numbers.at(sentence, index);
        return value == NONE ? digits(sentence.norm(index)).orElse(NONE) : value;
    }

    /** How many {@code days}, {@code weeks}, {@code months} or {@code minutes} a word is, or {@link #NONE}: an hour 60. */
    int unit(String name, Sentence sentence, int index) {
        WordValues unit = units.get(name);
        return unit == null ? NONE : unit.at(sentence, index);
    }

    /** "30th", "fifth": the day of a month, or {@link #NONE}. */
    int ordinal(Sentence sentence, int index) {
        int value = ordinals.at(sentence, index);
        return value == NONE ? ordinalInDigits(sentence.norm(index)) : value;
    }

    /** "5", "5th", "fifth": the day of a month, or {@link #NONE}. */
    int dayOfMonth(Sentence sentence, int index) {
        int ordinal = ordinal(sentence, index);
        int day = ordinal == NONE ? digits(sentence.norm(index)).orElse(NONE) : ordinal;
        return day >= 1 && day <= LAST_DAY_OF_A_MONTH ? day : NONE;
    }

    private int ordinalInDigits(String word) {
        int length = word.length();
        boolean mayBe = length >= 3 && length <= 4 && Character.isDigit(word.charAt(0));
        if (!mayBe || !words(DateClass.ENDS_AN_ORDINAL).has(word.substring(length - 2))) {
            return NONE;
        }
        int day = digits(word.substring(0, length - 2)).orElse(NONE);
        return day >= 1 && day <= LAST_DAY_OF_A_MONTH ? day : NONE;
    }

    boolean isWrittenOrdinal(Sentence sentence, int index) {
        return ordinals.at(sentence, index) != NONE;
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
    boolean mayFollowADate(Sentence sentence, int index) {
        return index >= sentence.size()
                || words(DateClass.AFTER_A_DATE).has(sentence, index)
                || weekday(sentence, index) != NONE;
    }
}
