package org.squallnote.core.dates;

import java.util.List;
import org.squallnote.core.text.Sentence;

/** The kinds of words in {@code dates.rules} that name hours and minutes. */
final class TimeKinds {

    /** The names of the kinds. */
    static final List<String> ALL = List.of(
            "hour",
            "hour-in-words",
            "bare-hour",
            "first-minutes",
            "five-minutes",
            "quarters",
            "clock-hour",
            "clock",
            "four-digits",
            "likely-digits");

    private static final int HOURS_OF_A_CLOCK = 12;

    private static final int LAST_HOUR = 23;

    private static final int LAST_MINUTE = 59;

    private static final int HALF_AN_HOUR = 30;

    private static final int QUARTER = 15;

    private static final int WHOLE_FIVE = 5;

    /** "by 1700" is a time, "by 2030" rather a year. */
    private static final int FIRST_YEAR = 19;

    private static final int LONGEST_BARE_HOUR = 6;

    private final Sentence sentence;
    private final DateWords words;

    TimeKinds(Sentence sentence, DateWords words) {
        this.sentence = sentence;
        this.words = words;
    }

    /** Whether the word at that place is of the kind. */
    boolean is(String kind, int place) {
        String word = sentence.norm(place);
        int number = words.number(sentence, place);
        return switch (kind) {
            case "hour" -> isHour(place, number);
            case "hour-in-words" -> isHour(place, number) && !Character.isDigit(word.charAt(0));
            case "bare-hour" ->
                number >= 1 && number <= LAST_HOUR && word.length() <= LONGEST_BARE_HOUR && !isArticle(place);
            case "first-minutes" -> number >= 1 && number <= HALF_AN_HOUR && !isArticle(place);
            case "five-minutes" -> number >= 1 && number <= HALF_AN_HOUR && number % WHOLE_FIVE == 0;
            case "quarters" -> number == QUARTER || number == 2 * QUARTER || number == 3 * QUARTER;
            case "clock-hour" ->
                Character.isDigit(word.charAt(0))
                        ? WrittenTime.in(word)
                                .filter(time -> time.suffix().isEmpty())
                                .isPresent()
                        : isHour(place, number);
            case "clock" ->
                WrittenTime.in(word)
                        .filter(time -> time.standsAlone(isIntroduced(place)))
                        .isPresent();
            case "four-digits" -> isFourDigits(word, LAST_HOUR, 1);
            case "likely-digits" -> isFourDigits(word, FIRST_YEAR - 1, WHOLE_FIVE);
            default -> throw new IllegalStateException("No words are of the kind " + kind);
        };
    }

    private boolean isHour(int place, int number) {
        return number >= 1 && number <= HOURS_OF_A_CLOCK && !isArticle(place);
    }

    /** "a", which is a number too. */
    private boolean isArticle(int place) {
        return words.words(DateClass.ARTICLE).has(sentence, place);
    }

    private static boolean isFourDigits(String word, int lastHour, int step) {
        int digits = word.length() == 4 ? DateWords.digits(word).orElse(-1) : -1;
        int minutes = digits % 100;
        return digits >= 0 && digits / 100 <= lastHour && minutes <= LAST_MINUTE && minutes % step == 0;
    }

    /** Whether a word before it makes a number an hour: "at five", "from two to five". */
    boolean isIntroduced(int place) {
        return words.words(DateClass.BEFORE_AN_HOUR).has(sentence, place - 1)
                || (words.words(DateClass.JOINS_HOURS).has(sentence, place - 1)
                        && words.words(DateClass.OPENS_HOURS).has(sentence, place - 3));
    }
}
