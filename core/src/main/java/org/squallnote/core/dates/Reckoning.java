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

/**
 * Reckons what a rule of {@code dates.rules} gives: the form of the phrase and the day, in these words: {@code today 1},
 * {@code weekday of week 1}, {@code end of week 0}, {@code end of month named}, {@code date}, {@code feast 12 24},
 * {@code amount}. Weeks and months are counted from the one of the day of writing; {@code and 7} and {@code and weeks} are
 * so many days later.
 */
final class Reckoning {

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases phrases;
    private final PeriodDays periods;
    private final CalendarDays calendar;
    private final FeastDays feasts;
    private final Amounts amounts;
    private final DayTimes times;

    Reckoning(Sentence sentence, DateContext context, DayPhrases phrases, DayTimes times) {
        this.sentence = sentence;
        this.context = context;
        this.phrases = phrases;
        this.periods = new PeriodDays(sentence, context);
        this.calendar = new CalendarDays(sentence, context);
        this.feasts = new FeastDays(context.today());
        this.times = times;
        this.amounts = new Amounts(sentence, context, phrases);
    }

    /**
     * What the words mean; nothing where there is no such day, as the fifth Friday of a month that has four.
     *
     * @throws IllegalStateException when nothing is reckoned so
     */
    Optional<DatePhrase> phrase(Term term) {
        String gives = term.rule().gives();
        if (gives.equals("past")) {
            return Optional.of(plain(term, context.today().minusDays(1), Form.PAST));
        }
        int space = gives.indexOf(' ');
        Form form = Form.valueOf(gives.substring(0, space).toUpperCase(Locale.ROOT));
        String day = gives.substring(space + 1);
        if (day.startsWith("as named")) {
            return namedIn(term).map(named -> asNamed(term, form, day, named.day()));
        }
        return switch (day) {
            case "amount" -> amounts.fromNow(term, form);
            case "part" -> partOfToday(term);
            case "start of work tomorrow" -> {
                LocalDate tomorrow = context.today().plusDays(1);
                yield Optional.of(plain(term, tomorrow, form).at(context.startOf(tomorrow), term.to()));
            }
            default ->
                form == Form.TIME ? times.today(term, day) : dayLater(day, term).map(found -> plain(term, found, form));
        };
    }

    private Optional<DatePhrase> partOfToday(Term term) {
        return phrases.term("part", term.kinds().getOrDefault("part", -1))
                .map(part -> times.part(part, term, context.today()));
    }

    private static DatePhrase plain(Term term, LocalDate day, Form form) {
        return new DatePhrase(term.from(), term.to(), day, Optional.<LocalTime>empty(), form);
    }

    private DatePhrase asNamed(Term term, Form form, String words, LocalDate day) {
        DatePhrase named = plain(term, day, form);
        return words.endsWith("at the start") ? named.at(context.startOf(day), term.to()) : named;
    }

    /** The day that stands in the words. */
    private Optional<DatePhrase> namedIn(Term term) {
        for (Map.Entry<String, Integer> kind : term.kinds().entrySet()) {
            int place = kind.getValue();
            Optional<DatePhrase> named = switch (kind.getKey()) {
                case "day" -> phrases.at(place);
                case "plain-day" -> phrases.plainDayAt(place);
                case "weekday-day" -> phrases.named("weekdays", place);
                case "calendar" -> phrases.named("calendar", place);
                case "in-numbers" -> new NumericDates(sentence, context).at(place);
                default -> Optional.empty();
            };
            if (named.isPresent()) {
                return named;
            }
        }
        return Optional.empty();
    }

    /** "… and 7", "… and weeks". */
    private Optional<LocalDate> dayLater(String words, Term term) {
        int and = words.indexOf(" and ");
        if (and < 0) {
            return day(words, term);
        }
        String later = words.substring(and + " and ".length());
        int days = Character.isDigit(later.charAt(0)) ? Integer.parseInt(later) : daysOf(later, term);
        return day(words.substring(0, and), term).map(day -> day.plusDays(days));
    }

    /** Of "two weeks", 14. */
    private int daysOf(String unit, Term term) {
        Integer number = term.kinds().get("number");
        int count = number == null ? 1 : context.words().number(sentence, number);
        return count * context.words().unit(unit, sentence, term.kinds().getOrDefault(unit, -1));
    }

    private Optional<LocalDate> day(String words, Term term) {
        String[] said = words.split(" ");
        String last = said[said.length - 1];
        LocalDate today = context.today();
        return switch (said[0]) {
            case "today" -> Optional.of(today.plusDays(said.length > 1 ? Integer.parseInt(last) : 0));
            case "feast", "easter" -> Optional.of(feasts.day(said));
            case "date", "last" -> calendar.day(words, term);
            case "next" ->
                last.equals("date")
                        ? calendar.day(words, term)
                        : Optional.of(today.with(
                                TemporalAdjusters.nextOrSame(DayOfWeek.valueOf(last.toUpperCase(Locale.ROOT)))));
            default -> Optional.of(periods.day(words, term));
        };
    }
}
