package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/**
 * Days told by another one, as the rules of {@code dates.rules} say: at the end of a clause by the day that was named last
 * ("the day before", "that day"), or counted back from one that is named behind them ("ten days before your arrival on 12
 * April").
 */
final class ToldDays {

    /** A farther day is told by its date. */
    private static final int MOST_DAYS = 90;

    /** "your arrival at the harbour on 12 April". */
    private static final int FARTHEST = 6;

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases days;

    ToldDays(Sentence sentence, DateContext context, DayPhrases days) {
        this.sentence = sentence;
        this.context = context;
        this.days = days;
    }

    /** The day that is told from a word on, seen from the day named last. */
    Optional<DatePhrase> beside(LocalDate named, int from) {
        return days.meant(
                "beside",
                from,
                term -> closes(term.to())
                        ? seenFrom(named, term)
                                .map(day -> new DatePhrase(term.from(), term.to(), day, Optional.empty(), Form.DAY))
                        : Optional.empty());
    }

    /** The day that is told from a word on, seen from one that is named behind it. */
    Optional<DatePhrase> countedBack(int from) {
        return days.meant("counted back", from, this::countedBack);
    }

    /** In the words of a rule: {@code named less 1}, {@code named and days}, {@code weekday before named}. */
    private Optional<LocalDate> seenFrom(LocalDate named, Term term) {
        String[] said = term.rule().gives().split(" ");
        if (said[1].equals("weekday")) {
            DayOfWeek weekday = DayOfWeek.of(context.words().weekday(sentence, term.place("weekday")));
            return Optional.of(named.with(
                    said[2].equals("before") ? TemporalAdjusters.previous(weekday) : TemporalAdjusters.next(weekday)));
        }
        if (said.length == 2) {
            return Optional.of(named);
        }
        boolean number = Character.isDigit(said[3].charAt(0));
        int far = number ? Integer.parseInt(said[3]) : daysOf(term);
        return far > MOST_DAYS ? Optional.empty() : Optional.of(named.plusDays(said[2].equals("less") ? -far : far));
    }

    /** Of "two weeks", 14. */
    private int daysOf(Term term) {
        DateWords words = context.words();
        return words.number(sentence, term.place("number")) * words.unit("days", sentence, term.place("days"));
    }

    private Optional<DatePhrase> countedBack(Term term) {
        boolean working = term.rule().gives().equals("working days");
        for (int i = term.to(); i <= term.to() + FARTHEST && i < sentence.size() && !isCutOff(i, term.to()); i++) {
            Optional<DatePhrase> named = days.at(i);
            if (named.isPresent()) {
                int to = named.get().toExclusive();
                return Optional.of(named.get())
                        .filter(day -> day.form() == Form.DAY || day.form() == Form.RANGE)
                        .filter(day -> daysOf(term) <= MOST_DAYS)
                        .map(day -> back(day.day(), daysOf(term), working))
                        .map(day -> new DatePhrase(term.from(), to, day, Optional.empty(), Form.DAY));
            }
        }
        return Optional.empty();
    }

    private boolean isCutOff(int at, int first) {
        return at > first && sentence.at(at).followsMark() && sentence.at(at).before() != '(';
    }

    private LocalDate back(LocalDate day, int number, boolean working) {
        if (!working) {
            return day.minusDays(number);
        }
        LocalDate found = day;
        for (int i = 0; i < number; i++) {
            found = context.workingTime().onOrBefore(found.minusDays(1));
        }
        return found;
    }

    private boolean closes(int to) {
        return to >= sentence.size()
                || sentence.at(to).followsMark()
                || context.words().words(DateClass.CLOSES_A_TELLING).has(sentence, to);
    }
}
