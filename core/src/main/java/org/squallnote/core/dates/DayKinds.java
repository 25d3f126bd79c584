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

    /** Finds words of a kind: the place behind them, negative where there are none. */
    @FunctionalInterface
    private interface Finder {

        int endOf(DayKinds kinds, int place);
    }

    /** Whether the word at a place is of a kind. */
    @FunctionalInterface
    private interface WordTest {

        boolean is(DayKinds kinds, int place);
    }

    /** Kinds that take no words, which may also stand behind the last. */
    private static final Map<String, Finder> MARKS = Map.of(
            "ends", (kinds, place) -> kinds.ends(place) ? place : NONE,
            "may-end", (kinds, place) -> kinds.mayEnd(place) ? place : NONE,
            "time-end", (kinds, place) -> kinds.ends(place) || kinds.mayFollowATime(place) ? place : NONE,
            "introduced", (kinds, place) -> kinds.times.isIntroduced(place + 1) ? place : NONE,
            "limit", (kinds, place) -> DateLeads.isLimit(kinds.sentence, place) ? place : NONE);

    private static final Map<String, Finder> WORDS = words();

    private static Map<String, Finder> words() {
        Map<String, Finder> words = new HashMap<>();
        words.put("weekday", one(DayKinds::isWeekday));
        words.put("weekday's", one(DayKinds::isGenitiveOfAWeekday));
        words.put("month", one((kinds, place) -> kinds.words.month(kinds.sentence, place) != NONE));
        words.put("month-of-a-date", one(DayKinds::isMonthOfADate));
        words.put("capital-month", one(DayKinds::isCapitalMonth));
        words.put("quarter", one((kinds, place) -> kinds.sentence.at(place).is("q1", "q2", "q3", "q4")));
        words.put("number", one(DayKinds::isCount));
        words.put("second-number", one(DayKinds::isCount));
        words.put("numeral-day", one(DayKinds::isNumeralDay));
        words.put("written-day", one((kinds, place) -> kinds.words.isWrittenOrdinal(kinds.sentence, place)));
        words.put("day-of-month", one(DayKinds::isDayOfMonth));
        words.put(
                "day-right-behind",
                one((kinds, place) -> kinds.sentence.at(place).before() != '-' && kinds.isDayOfMonth(place)));
        words.put("year", one(DayKinds::isYear));
        words.put("in-numbers", one((kinds, place) -> kinds.inNumbers.at(place).isPresent()));
        for (String unit : DateWords.UNITS) {
            words.put(unit, one((kinds, place) -> kinds.words.unit(unit, kinds.sentence, place) != NONE));
        }
        for (String kind : TimeKinds.ALL) {
            words.put(kind, one((kinds, place) -> kinds.times.is(kind, place)));
        }
        return Map.copyOf(words);
    }

    private static Finder one(WordTest test) {
        return (kinds, place) -> test.is(kinds, place) ? place + 1 : NONE;
    }

    private final Sentence sentence;
    private final DateWords words;
    private final DayPhrases phrases;
    private final NumericDates inNumbers;
    private final TimeKinds times;

    /** What other groups name, which is kept: many rules ask for the same at the same place. */
    private final Map<String, int[]> ends = new HashMap<>();

    DayKinds(Sentence sentence, DateContext context, DayPhrases phrases) {
        this.sentence = sentence;
        this.words = context.words();
        this.phrases = phrases;
        this.times = new TimeKinds(sentence, words);
        this.inNumbers = new NumericDates(sentence, context);
    }

    @Override
    public int endOf(String kind, int place) {
        if (place < 0 || place > sentence.size()) {
            return NONE;
        }
        Finder ofAWord = WORDS.get(kind);
        if (ofAWord != null) {
            return place < sentence.size() ? ofAWord.endOf(this, place) : NONE;
        }
        Finder mark = MARKS.get(kind);
        if (mark != null) {
            return mark.endOf(this, place);
        }
        int[] known = ends.get(kind);
        if (known == null) {
            known = new int[sentence.size() + 1];
            ends.put(kind, known);
        }
        if (known[place] == 0) {
            known[place] = (place < sentence.size() ? endOfNamed(kind, place) : NONE) + KEPT;
        }
        return known[place] - KEPT;
    }

    /** Words that stand for nothing, as most do. */
    @Override
    public boolean isOfNoKind(int place) {
        return words.standsForNothing(sentence, place);
    }

    private int endOfNamed(String kind, int place) {
        return switch (kind) {
            case "calendar" -> sentence.at(place).before() == '-' ? NONE : phrases.endOf(kind, place);
            case "lead", "part", "half-day", "count", "amount", "long-unit" -> phrases.endOf(kind, place);
            case "unit" -> Math.max(phrases.endOf("long-unit", place), phrases.endOf(kind, place));
            case "weekday-day" -> phrases.endOf("weekdays", place);
            case "plain-day" -> endOfPlainDay(place);
            case "day" ->
                phrases.at(place)
                        .filter(day -> day.form() == Form.DAY)
                        .map(DatePhrase::toExclusive)
                        .orElse(NONE);
            default -> throw new IllegalStateException("No words are of the kind " + kind);
        };
    }

    private boolean mayEnd(int place) {
        return ends(place) || words.mayFollowADate(sentence, place);
    }

    private boolean mayFollowATime(int place) {
        return words.mayFollowADate(sentence, place) && words.month(sentence, place) == NONE;
    }

    private boolean isCount(int place) {
        int number = words.number(sentence, place);
        return number > 0 && number <= FARTHEST;
    }

    private boolean isCapitalMonth(int place) {
        return sentence.at(place).capital() && words.month(sentence, place) != NONE;
    }

    private boolean isNumeralDay(int place) {
        return words.ordinal(sentence, place) != NONE && !words.isWrittenOrdinal(sentence, place);
    }

    private boolean isDayOfMonth(int place) {
        return words.dayOfMonth(sentence, place) != NONE;
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

    private boolean isGenitiveOfAWeekday(int place) {
        String word = sentence.norm(place);
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
