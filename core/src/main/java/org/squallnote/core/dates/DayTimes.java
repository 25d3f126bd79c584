package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/**
 * Reckons the time that a rule of {@code dates.rules} gives, in these words: {@code 12:00}, {@code hour}, {@code hour and
 * 30}, {@code hour less minutes}, {@code clock}, {@code clock pm}, {@code digits}, {@code start of work}, {@code end of
 * work}, {@code whole day}.
 */
final class DayTimes {

    private static final int HALF_DAY = 12;

    private static final int LAST_HOUR = 23;

    private static final int HOUR = 60;

    /** From this hour on a time is one of the morning, before it one of the afternoon. */
    private static final int FIRST_OFFICE_HOUR = 7;

    private static final LocalTime EARLIEST_START = LocalTime.of(4, 30);

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases phrases;

    DayTimes(Sentence sentence, DateContext context, DayPhrases phrases) {
        this.sentence = sentence;
        this.context = context;
        this.phrases = phrases;
    }

    /** A time on the day of writing. */
    Optional<DatePhrase> today(Term term, String words) {
        return time(words, term)
                .map(time -> new DatePhrase(term.from(), term.to(), context.today(), Optional.of(time), Form.TIME));
    }

    /** A part of a day that is known: "morning" ends at noon, "afternoon" when work ends. */
    DatePhrase part(Term part, Term term, LocalDate day) {
        Optional<LocalTime> end = switch (part.rule().gives()) {
            case "whole day" -> Optional.empty();
            case "end of work" -> Optional.of(context.endOf(day));
            default -> Optional.of(LocalTime.parse(part.rule().gives()));
        };
        return new DatePhrase(term.from(), term.to(), day, end, Form.DAY);
    }

    private Optional<LocalTime> time(String words, Term term) {
        String[] said = words.split(" ");
        return switch (said[0]) {
            case "start" -> Optional.of(context.startOf(context.today()));
            case "hour" -> hour(said, term);
            case "clock" -> clock(said[said.length - 1], term);
            case "digits" -> Optional.of(digits(term));
            default -> Optional.of(LocalTime.parse(words));
        };
    }

    private int number(int place) {
        return context.words().number(sentence, place);
    }

    /** "hour", "hour and 30", "hour less minutes". */
    private Optional<LocalTime> hour(String[] said, Term term) {
        int at = term.place(List.of("hour", "hour-in-words", "bare-hour"));
        int hour = number(at);
        if (said.length == 1) {
            return inOfficeHours(at, hour, 0, term);
        }
        int minutes = said[2].equals("minutes")
                ? number(term.place(List.of("first-minutes", "five-minutes", "quarters")))
                : Integer.parseInt(said[2]);
        return said[1].equals("and")
                ? inOfficeHours(at, hour, minutes, term)
                : inOfficeHours(at, hour == 1 ? HALF_DAY : hour - 1, HOUR - minutes, term);
    }

    private Optional<LocalTime> clock(String half, Term term) {
        int at = term.place(List.of("clock", "clock-hour"));
        WrittenTime written = WrittenTime.in(sentence.norm(at)).orElseGet(() -> new WrittenTime(number(at), 0, "", ""));
        boolean told = written.tellsHalf() || !half.equals("clock");
        boolean afternoon = written.suffix().startsWith("p") || half.equals("pm");
        return told
                ? ofHalf(written.hour(), written.minutes(), afternoon)
                : inOfficeHours(at, written.hour(), written.minutes(), term);
    }

    private static Optional<LocalTime> ofHalf(int hour, int minutes, boolean afternoon) {
        int on24 = hour > HALF_DAY ? hour : hour % HALF_DAY + (afternoon ? HALF_DAY : 0);
        return hour > LAST_HOUR ? Optional.empty() : Optional.of(LocalTime.of(on24, minutes));
    }

    /** "1700". */
    private LocalTime digits(Term term) {
        String word = sentence.norm(term.place(List.of("four-digits", "likely-digits")));
        return LocalTime.of(Integer.parseInt(word.substring(0, 2)), Integer.parseInt(word.substring(2)));
    }

    /**
     * An hour without am or pm: as office hours have it, so that 3 is in the afternoon and 9 in the morning; or in the half
     * of the day that is named behind it.
     */
    private Optional<LocalTime> inOfficeHours(int at, int hour, int minutes, Term term) {
        Integer half = term.kinds().get("half-day");
        if (hour > LAST_HOUR) {
            return Optional.empty();
        }
        if (half != null) {
            String gives = phrases.term("half-day", half).orElseThrow().rule().gives();
            return Optional.of(LocalTime.of(hour % HALF_DAY + (gives.equals("pm") ? HALF_DAY : 0), minutes));
        }
        LocalTime sent = context.sentAt().toLocalTime();
        // The baker who writes at six means half past six.
        boolean early = !sent.isBefore(EARLIEST_START)
                && hour < FIRST_OFFICE_HOUR
                && sent.isBefore(LocalTime.of(hour % HALF_DAY, minutes));
        boolean afternoon = hour >= 1
                && hour < FIRST_OFFICE_HOUR
                && !early
                && !sentence.norm(at).startsWith("0");
        return Optional.of(LocalTime.of(afternoon ? hour + HALF_DAY : hour, minutes));
    }
}
