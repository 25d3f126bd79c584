package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Days: "today", "next Tuesday", "end of the week", "within ten working days"; calendar dates are in another class. */
final class DayPhrases {

    private static final WordSet LIMIT_NOUNS = WordSet.of("deadline", "cut-off", "cutoff");

    private final Sentence sentence;
    private final DateContext context;
    private final CalendarDates calendar;
    private final Stretches stretches;
    private final Weekdays weekdays;
    private final Reckoning reckoning;

    DayPhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.calendar = new CalendarDates(sentence, context);
        this.stretches = new Stretches(sentence, context);
        this.weekdays = new Weekdays(sentence, context, calendar);
        this.reckoning = new Reckoning(sentence, context);
    }

    /** The day phrase that begins at a word. */
    Optional<DatePhrase> at(int from) {
        if (from < sentence.size()
                && sentence.at(from).isNumber()
                && !sentence.norm(from + 1).equals("thing")) {
            return stretches.at(from).or(() -> calendar.at(from));
        }
        return named("of a month", from)
                .or(() -> named("near", from))
                .or(() -> dayOfSomething(from))
                .or(() -> weekdays.at(from))
                .or(() -> named("periods", from))
                .or(() -> named("in one word", from))
                .or(() -> named("weeks and months", from))
                .or(() -> stretches.at(from))
                .or(() -> calendar.at(from))
                .or(() -> named("feasts", from));
    }

    /** What the rules of a group say of the words from one on. */
    private Optional<DatePhrase> named(String group, int from) {
        return context.terms().at(group, sentence, from, this::endOf).flatMap(this::phraseOf);
    }

    private Optional<DatePhrase> phraseOf(Term term) {
        String gives = term.rule().gives();
        if (gives.equals("past")) {
            return past(context, term.from(), term.to());
        }
        int space = gives.indexOf(' ');
        Form form = Form.valueOf(gives.substring(0, space).toUpperCase(Locale.ROOT));
        String day = gives.substring(space + 1);
        if (day.startsWith("as named")) {
            return dayNamedIn(term).map(named -> {
                DatePhrase phrase =
                        new DatePhrase(term.from(), term.to(), named.day(), Optional.<LocalTime>empty(), form);
                return day.endsWith("at the start") ? phrase.at(context.startOf(named.day()), term.to()) : phrase;
            });
        }
        return reckoning
                .day(day, term)
                .map(found -> new DatePhrase(term.from(), term.to(), found, Optional.empty(), form));
    }

    private Optional<DatePhrase> dayNamedIn(Term term) {
        for (Map.Entry<String, Integer> kind : term.kinds().entrySet()) {
            Optional<DatePhrase> day = dayOfKind(kind.getKey(), kind.getValue());
            if (day.isPresent()) {
                return day;
            }
        }
        return Optional.empty();
    }

    private Optional<DatePhrase> dayOfKind(String kind, int place) {
        return switch (kind) {
            case "day" -> at(place).filter(day -> day.form() == Form.DAY);
            case "plain-day" ->
                startsNewPart(sentence.norm(place - 1).equals("on") ? place - 1 : place)
                        ? Optional.empty()
                        : plainDayAt(place).filter(day -> day.time().isEmpty());
            case "weekday-day" -> weekdays.at(place);
            default -> Optional.empty();
        };
    }

    private int endOf(String kind, int place) {
        if (place >= sentence.size()) {
            return -1;
        }
        boolean one = switch (kind) {
            case "weekday" -> DateWords.isWeekday(sentence, place);
            case "month" -> DateWords.month(sentence, place) != DateWords.NONE;
            case "quarter" -> sentence.at(place).is("q1", "q2", "q3", "q4");
            default -> false;
        };
        return one
                ? place + 1
                : dayOfKind(kind, place).map(DatePhrase::toExclusive).orElse(-1);
    }

    private boolean startsNewPart(int at) {
        return sentence.at(at).followsMark() && sentence.at(at).before() != '(';
    }

    /** "before Wednesday's meeting"; "Wednesday's meeting" alone may as well be the last one. */
    private Optional<DatePhrase> dayOfSomething(int from) {
        String word = sentence.norm(from);
        boolean limit = DateLeads.isLimit(sentence, from - 1) || LIMIT_NOUNS.has(sentence, from + 1);
        if (!limit || !word.endsWith("'s")) {
            return Optional.empty();
        }
        String day = word.substring(0, word.length() - 2);
        LocalDate today = context.today();
        int index = DateWords.weekdayIndex(day);
        if (index != DateWords.NONE) {
            DayOfWeek weekday = DayOfWeek.of(index);
            return day(from, from + 1, today.with(TemporalAdjusters.next(weekday)));
        }
        return day.equals("tomorrow") ? day(from, from + 1, today.plusDays(1)) : Optional.empty();
    }

    /** A day that is named by itself, without a part of it. */
    private Optional<DatePhrase> plainDayAt(int from) {
        return named("near", from).or(() -> weekdays.at(from)).or(() -> calendar.at(from));
    }

    static Optional<DatePhrase> day(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.<LocalTime>empty(), Form.DAY));
    }

    static Optional<DatePhrase> past(DateContext context, int from, int to) {
        return Optional.of(new DatePhrase(from, to, context.today().minusDays(1), Optional.empty(), Form.PAST));
    }
}
