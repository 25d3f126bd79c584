package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Optional;
import org.squallnote.core.text.Sentence;

/** Days that have a name: "Easter", "Good Friday", "Christmas Eve", "New Year". */
final class Feasts {

    private final Sentence sentence;
    private final LocalDate today;

    Feasts(Sentence sentence, LocalDate today) {
        this.sentence = sentence;
        this.today = today;
    }

    /** The feast that is named from a word on: the next one. */
    Optional<DatePhrase> at(int from) {
        String next = sentence.norm(from + 1);
        return switch (sentence.norm(from)) {
            case "christmas", "xmas" ->
                next.equals("eve") ? fixed(from, from + 2, 12, 24) : fixed(from, afterDay(from + 1), 12, 25);
            case "boxing" -> next.equals("day") ? fixed(from, from + 2, 12, 26) : Optional.empty();
            case "new" -> newYear(from);
            case "easter" ->
                switch (next) {
                    case "monday" -> nearEaster(from, from + 2, 1);
                    case "sunday" -> nearEaster(from, from + 2, 0);
                    default -> nearEaster(from, from + 1, 0);
                };
            case "good" -> next.equals("friday") ? nearEaster(from, from + 2, -2) : Optional.empty();
            default -> Optional.empty();
        };
    }

    private Optional<DatePhrase> newYear(int from) {
        if (!sentence.norm(from + 1).startsWith("year")) {
            return Optional.empty();
        }
        return sentence.norm(from + 2).equals("eve")
                ? fixed(from, from + 3, 12, 31)
                : fixed(from, afterDay(from + 2), 1, 1);
    }

    private int afterDay(int at) {
        return sentence.norm(at).equals("day") ? at + 1 : at;
    }

    private Optional<DatePhrase> fixed(int from, int to, int month, int day) {
        LocalDate date = MonthDay.of(month, day).atYear(today.getYear());
        return DayPhrases.day(from, to, date.isBefore(today) ? date.plusYears(1) : date);
    }

    private Optional<DatePhrase> nearEaster(int from, int to, int days) {
        LocalDate date = Easter.sundayOf(today.getYear()).plusDays(days);
        return DayPhrases.day(
                from,
                to,
                date.isBefore(today) ? Easter.sundayOf(today.getYear() + 1).plusDays(days) : date);
    }
}
