package org.squallnote.core.dates;

import java.util.HashMap;
import java.util.Map;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.Kinds;
import org.squallnote.core.text.Sentence;

/** What stands in braces in {@code dates.rules}: words that are known by what they stand for, and what other groups name. */
final class DayKinds implements Kinds {

    /** Nobody sets a deadline farther ahead than this many units. */
    private static final int FARTHEST = 400;

    private static final int NONE = -1;

    /** Added to what is kept, so that 0 is what was never asked. */
    private static final int KEPT = 2;

    /** Behind one of these marks something new begins: "by the 20th: may I ask". */
    private static final String NEXT_PART = ":;()";

    private final Sentence sentence;
    private final DateWords words;
    private final DayPhrases phrases;
    private final NumericDates inNumbers;
    private final TimeKinds times;
    private final Map<String, int[]> ends = new HashMap<>();

    DayKinds(Sentence sentence, DateContext context, DayPhrases phrases) {
        this.sentence = sentence;
        this.words = context.words();
        this.phrases = phrases;
        this.times = new TimeKinds(sentence, words);
        this.inNumbers = new NumericDates(sentence, context);
    }

    /** What was found is kept: many rules ask whether the same kind stands at the same place. */
    @Override
    public int endOf(String named, int place) {
        if (place < 0 || place > sentence.size()) {
            return NONE;
        }
        int[] known = ends.computeIfAbsent(named, name -> new int[sentence.size() + 1]);
        if (known[place] == 0) {
            int colon = named.indexOf(':');
            known[place] = find(colon < 0 ? named : named.substring(0, colon), place) + KEPT;
        }
        return known[place] - KEPT;
    }

    private int find(String kind, int place) {
        return switch (kind) {
            case "ends" -> ends(place) ? place : NONE;
            case "may-end" -> ends(place) || words.mayFollowADate(sentence, place) ? place : NONE;
            case "time-end" -> ends(place) || mayFollowATime(place) ? place : NONE;
            case "introduced" -> times.isIntroduced(place + 1) ? place : NONE;
            case "limit" -> DateLeads.isLimit(sentence, place) ? place : NONE;
            default -> place < sentence.size() ? endOfWords(kind, place) : NONE;
        };
    }

    private int endOfWords(String kind, int place) {
        return switch (kind) {
            case "weekday" -> one(place, isWeekday(place));
            case "weekday's" -> one(place, isGenitiveOfAWeekday(sentence.norm(place)));
            case "month" -> one(place, words.month(sentence, place) != NONE);
            case "month-of-a-date" -> one(place, isMonthOfADate(place));
            case "capital-month" -> one(place, sentence.at(place).capital() && words.month(sentence, place) != NONE);
            case "quarter" -> one(place, sentence.at(place).is("q1", "q2", "q3", "q4"));
            case "number" -> one(place, isCount(words.number(sentence, place)));
            case "numeral-day" ->
                one(place, words.ordinal(sentence, place) != NONE && !words.isWrittenOrdinal(sentence, place));
            case "written-day" -> one(place, words.isWrittenOrdinal(sentence, place));
            case "day-of-month" -> one(place, words.dayOfMonth(sentence, place) != NONE);
            case "day-right-behind" ->
                one(place, sentence.at(place).before() != '-' && words.dayOfMonth(sentence, place) != NONE);
            case "year" -> one(place, isYear(place));
            case "days", "weeks", "months", "minutes" -> one(place, words.unit(kind, sentence, place) != NONE);
            case "in-numbers" -> one(place, inNumbers.at(place).isPresent());
            case "calendar" -> sentence.at(place).before() == '-' ? NONE : phrases.endOf(kind, place);
            case "lead", "part", "half-day", "count", "amount", "long-unit" -> phrases.endOf(kind, place);
            case "unit" -> Math.max(phrases.endOf("long-unit", place), phrases.endOf(kind, place));
            case "day" ->
                phrases.at(place)
                        .filter(day -> day.form() == Form.DAY)
                        .map(DatePhrase::toExclusive)
                        .orElse(NONE);
            case "weekday-day" -> phrases.endOf("weekdays", place);
            case "plain-day" -> endOfPlainDay(place);
            default -> one(place, times.is(kind, place));
        };
    }

    private boolean mayFollowATime(int place) {
        return words.mayFollowADate(sentence, place) && words.month(sentence, place) == NONE;
    }

    private static int one(int place, boolean is) {
        return is ? place + 1 : NONE;
    }

    private static boolean isCount(int number) {
        return number > 0 && number <= FARTHEST;
    }

    private boolean ends(int place) {
        return place >= sentence.size() || sentence.at(place).followsMark();
    }

    /** "sat" and "sun" are words too, unless something makes them a day. */
    private boolean isWeekday(int place) {
        return words.weekday(sentence, place) != NONE
                && (!words.words(DateClass.SHORT_DAY).has(sentence, place)
                        || words.words(DateClass.BEFORE_A_SHORT_DAY).has(sentence, place - 1)
                        || DateWords.digits(sentence.norm(place + 1)).isPresent());
    }

    private boolean isGenitiveOfAWeekday(String word) {
        return word.endsWith("'s") && words.weekday(word.substring(0, word.length() - 2)) != NONE;
    }

    /** "30 march" is a date behind "by" only; with a capital, an ordinal or "of" it is one anywhere. */
    private boolean isMonthOfADate(int place) {
        if (words.month(sentence, place) == NONE
                || NEXT_PART.indexOf(sentence.at(place).before()) >= 0) {
            return false;
        }
        boolean mayBeAVerb = words.words(DateClass.MONTH_OR_VERB).has(sentence, place)
                && !sentence.at(place).capital()
                && DateWords.digits(sentence.norm(place - 1)).isPresent();
        return !mayBeAVerb || words.words(DateClass.BEFORE_A_DATE).has(sentence, place - 2);
    }

    private boolean isYear(int place) {
        String word = sentence.norm(place);
        return word.length() == 4
                && (word.startsWith("19") || word.startsWith("20") || word.startsWith("21"))
                && DateWords.digits(word).isPresent();
    }

    /** A day that is named by itself, without a part of it, in the same part of the sentence. */
    private int endOfPlainDay(int place) {
        boolean led = words.words(DateClass.BEFORE_A_DATE).has(sentence, place - 1);
        int begin = led ? place - 1 : place;
        boolean newPart = sentence.at(begin).followsMark() && sentence.at(begin).before() != '(';
        return newPart
                ? NONE
                : phrases.plainDayAt(place)
                        .filter(day -> day.time().isEmpty())
                        .map(DatePhrase::toExclusive)
                        .orElse(NONE);
    }
}
