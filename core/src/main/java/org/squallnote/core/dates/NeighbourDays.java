package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/**
 * Days told by another one: "the day before", "two days earlier", "the Friday before", at the end of a clause, next to
 * the day that was named last.
 */
final class NeighbourDays {

    /** A farther day is told by its date. */
    private static final int FARTHEST = 31;

    private static final int MOST_WEEKS = 8;

    private final Sentence sentence;
    private final DateWords words;

    NeighbourDays(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.words = context.words();
    }

    /** The day that is told from a word on, seen from the day named last. */
    Optional<DatePhrase> at(int from, LocalDate named) {
        String word = sentence.norm(from);
        int at = word.equals("the") ? from + 1 : from;
        int weekday = words.weekday(sentence, at);
        if (weekday != DateWords.NONE) {
            return weekday(from, at + 1, named, DayOfWeek.of(weekday));
        }
        boolean one = word.equals("the") || word.equals("a") || word.equals("one");
        int days = one ? 1 : words.number(sentence, from);
        String unit = sentence.norm(from + 1);
        int weeks = word.equals("the") ? 0 : weeks(unit, days);
        boolean eve = days == 1 && (unit.equals("night") || unit.equals("evening") || unit.equals("afternoon"));
        if (weeks > 0 && weeks <= MOST_WEEKS) {
            days = 7 * weeks;
        } else if (days < 1 || days > FARTHEST || (!eve && !unit.equals(days == 1 ? "day" : "days"))) {
            return Optional.empty();
        }
        String way = sentence.norm(from + 2);
        int to = endOfTelling(from + 2);
        return switch (way) {
            case "before", "beforehand", "earlier", "prior", "ahead" -> closing(from, to, named.minusDays(days));
            case "after", "later", "afterwards" -> closing(from, to, named.plusDays(days));
            default -> Optional.empty();
        };
    }

    /** How many weeks "a week", "two weeks" or "a fortnight" are; 0 for any other unit. */
    private static int weeks(String unit, int number) {
        if (number == 1 && unit.equals("fortnight")) {
            return 2;
        }
        return unit.equals(number == 1 ? "week" : "weeks") ? number : 0;
    }

    private Optional<DatePhrase> weekday(int from, int wayAt, LocalDate named, DayOfWeek weekday) {
        int to = endOfTelling(wayAt);
        return switch (sentence.norm(wayAt)) {
            case "before" -> closing(from, to, named.with(TemporalAdjusters.previous(weekday)));
            case "after" -> closing(from, to, named.with(TemporalAdjusters.next(weekday)));
            default -> Optional.empty();
        };
    }

    /** "before", "before that". */
    private int endOfTelling(int wayAt) {
        String next = sentence.norm(wayAt + 1);
        return next.equals("that") || next.equals("it") || next.equals("then") ? wayAt + 2 : wayAt + 1;
    }

    private Optional<DatePhrase> closing(int from, int to, LocalDate day) {
        boolean closes = to >= sentence.size()
                || sentence.at(to).followsMark()
                || sentence.at(to)
                        .is(
                                "at", "please", "if", "whether", "that", "what", "which", "how", "or", "won't", "will",
                                "can't", "and", "so");
        return closes ? Optional.of(new DatePhrase(from, to, day, Optional.empty(), Form.DAY)) : Optional.empty();
    }
}
