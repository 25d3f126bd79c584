package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import java.util.stream.Stream;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/** Days told by others: "the day before" the one named last, "ten days before your arrival on 12 April". */
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
                term -> Optional.of(term)
                        .filter(told -> closes(told.to()) && daysOf(told) <= MOST_DAYS)
                        .map(told -> day(told, told.to(), seenFrom(named, told))));
    }

    /** The day that is told from a word on, seen from one that is named behind it. */
    Optional<DatePhrase> countedBack(int from) {
        return days.meant("counted back", from, this::countedBack);
    }

    private static DatePhrase day(Term term, int to, LocalDate day) {
        return new DatePhrase(term.from(), to, day, Optional.empty(), Form.DAY);
    }

    /** In the words of a rule: {@code named}, {@code named less 1}, {@code named and days}, {@code weekday before named}. */
    private LocalDate seenFrom(LocalDate named, Term term) {
        String[] said = term.rule().gives().split(" ");
        if (said[1].equals("weekday")) {
            DayOfWeek weekday = DayOfWeek.of(context.words().weekday(sentence, term.place("weekday")));
            boolean before = said[2].equals("before");
            return named.with(before ? TemporalAdjusters.previous(weekday) : TemporalAdjusters.next(weekday));
        }
        if (said.length == 2) {
            return named;
        }
        int far = said[3].equals("days") ? daysOf(term) : Integer.parseInt(said[3]);
        return named.plusDays(said[2].equals("less") ? -far : far);
    }

    /** Of "two weeks", 14; 0 where no number of them is told. */
    private int daysOf(Term term) {
        DateWords words = context.words();
        int days = term.place("days");
        return days < 0 ? 0 : words.number(sentence, term.place("number")) * words.unit("days", sentence, days);
    }

    private Optional<DatePhrase> countedBack(Term term) {
        boolean working = term.rule().gives().equals("working days");
        for (int i = term.to(); i <= term.to() + FARTHEST && i < sentence.size() && !isCutOff(i, term.to()); i++) {
            Optional<DatePhrase> named = days.at(i);
            if (named.isPresent()) {
                return named.filter(day -> day.form() == Form.DAY || day.form() == Form.RANGE)
                        .filter(day -> daysOf(term) <= MOST_DAYS)
                        .map(day -> day(term, day.toExclusive(), back(day.day(), daysOf(term), working)));
            }
        }
        return Optional.empty();
    }

    private boolean isCutOff(int at, int first) {
        return at > first && sentence.at(at).followsMark() && sentence.at(at).before() != '(';
    }

    private LocalDate back(LocalDate day, int number, boolean working) {
        return working
                ? Stream.iterate(day, later -> context.workingTime().onOrBefore(later.minusDays(1)))
                        .skip(number)
                        .findFirst()
                        .orElseThrow()
                : day.minusDays(number);
    }

    private boolean closes(int to) {
        return to >= sentence.size()
                || sentence.at(to).followsMark()
                || context.words().words(DateClass.CLOSES_A_TELLING).has(sentence, to);
    }
}
