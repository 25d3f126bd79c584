package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Finds the date phrases of a sentence from left to right, each as long as it can be. */
public final class DateScanner {

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases days;
    private final ToldDays told;
    private final Optional<LocalDate> namedBefore;

    private DateScanner(Sentence sentence, DateContext context, Optional<LocalDate> namedBefore) {
        this.sentence = sentence;
        this.context = context;
        this.days = new DayPhrases(sentence, context);
        this.told = new ToldDays(sentence, context, days);
        this.namedBefore = namedBefore;
    }

    /** All date phrases of the sentence, in their order, none overlapping another. */
    public static List<DatePhrase> in(Sentence sentence, DateContext context) {
        return in(sentence, context, Optional.empty());
    }

    /**
     * The same for a sentence among others.
     *
     * @param namedBefore the day that the sentences before named last, next to which "the day before" is
     */
    public static List<DatePhrase> in(Sentence sentence, DateContext context, Optional<LocalDate> namedBefore) {
        BitSet starts = context.language().starts().in(sentence);
        return starts.isEmpty() ? List.of() : new DateScanner(sentence, context, namedBefore).from(starts);
    }

    private List<DatePhrase> from(BitSet starts) {
        List<DatePhrase> found = new ArrayList<>();
        int i = starts.nextSetBit(0);
        while (i >= 0) {
            Optional<DatePhrase> phrase = nextToNamed(found, i);
            if (phrase.isEmpty()) {
                phrase = told.countedBack(i);
            }
            if (phrase.isEmpty()) {
                phrase = rangeAt(i);
            }
            if (phrase.isPresent()) {
                found.add(phrase.get());
            }
            i = starts.nextSetBit(phrase.isPresent() ? phrase.get().toExclusive() : i + 1);
        }
        return found;
    }

    private boolean is(DateClass one, int place) {
        return context.words().words(one).has(sentence, place);
    }

    private Optional<DatePhrase> nextToNamed(List<DatePhrase> found, int from) {
        if (found.isEmpty()) {
            return namedBefore.isPresent() ? told.beside(namedBefore.get(), from) : Optional.empty();
        }
        DatePhrase last = found.get(found.size() - 1);
        return last.form() == Form.DAY ? told.beside(last.day(), from) : Optional.empty();
    }

    /** A phrase, or two joined to a range, of which the end counts. */
    private Optional<DatePhrase> rangeAt(int from) {
        Optional<DatePhrase> first = phraseAt(from);
        if (first.isEmpty()) {
            return first;
        }
        int next = first.get().toExclusive();
        boolean between = is(DateClass.BETWEEN_OPENS, from - 1) || is(DateClass.BETWEEN_OPENS, from - 2);
        boolean joined = is(DateClass.JOINS_DATES, next) || (between && is(DateClass.JOINS_BETWEEN, next));
        if (!joined || first.get().form() == Form.PAST) {
            return hyphenRange(first.get());
        }
        int secondAt = next + 1 + (is(DateClass.BEFORE_THE_SECOND, next + 1) ? 1 : 0);
        Optional<DatePhrase> second =
                phraseAt(secondAt).or(() -> phraseAt(next + 1)).or(() -> days.bareHourAt(secondAt));
        if (second.isEmpty()) {
            return first;
        }
        return Optional.of(joined(first.get(), second.get()));
    }

    /** "Monday–Wednesday": the mark stands before the second word. */
    private Optional<DatePhrase> hyphenRange(DatePhrase first) {
        int next = first.toExclusive();
        if (next < sentence.size() && sentence.at(next).before() == '-') {
            Optional<DatePhrase> second = phraseAt(next);
            if (second.isPresent() && second.get().form() == first.form()) {
                return Optional.of(joined(first, second.get()));
            }
        }
        return Optional.of(first);
    }

    private DatePhrase joined(DatePhrase first, DatePhrase second) {
        boolean timesOfOneDay = second.form() == Form.TIME && first.time().isPresent();
        if (timesOfOneDay) {
            LocalTime start = first.time().orElseThrow();
            LocalTime written = second.time().orElseThrow();
            LocalTime end = written.isBefore(start) && written.getHour() < 12 ? written.plusHours(12) : written;
            return range(first, second, first.form() == Form.TIME ? dayOf(end) : first.day(), Optional.of(end));
        }
        boolean weekdayBeforeStart =
                second.day().isBefore(first.day()) && second.day().plusWeeks(1).isAfter(first.day());
        return range(first, second, weekdayBeforeStart ? second.day().plusWeeks(1) : second.day(), second.time());
    }

    private static DatePhrase range(DatePhrase first, DatePhrase second, LocalDate day, Optional<LocalTime> time) {
        return new DatePhrase(first.fromInclusive(), second.toExclusive(), day, time, Form.RANGE, second.named());
    }

    /** The day of writing or, once the time has passed, the next. */
    private LocalDate dayOf(LocalTime time) {
        LocalDate today = context.today();
        return today.atTime(time).isBefore(context.sentAt()) ? today.plusDays(1) : today;
    }

    private Optional<DatePhrase> phraseAt(int from) {
        if (from >= sentence.size()) {
            return Optional.empty();
        }
        Optional<DatePhrase> day = days.at(from);
        if (day.isPresent()) {
            return day.map(this::withTime);
        }
        return days.timeAt(from)
                .map(time -> time.time().isPresent() && time.form() == Form.TIME ? withDay(time) : time);
    }

    /** A day, followed by a time of it. */
    private DatePhrase withTime(DatePhrase day) {
        if (day.time().isPresent() || day.form() == Form.PAST || day.form() == Form.STRETCH) {
            return day;
        }
        int next = day.toExclusive();
        Optional<DatePhrase> part = days.partOfDay(next, day.day());
        if (part.isPresent()) {
            return part.get().from(day.fromInclusive()).by(day.named());
        }
        boolean connected = is(DateClass.BEFORE_ITS_TIME, next);
        int timeAt = connected ? next + 1 : next;
        Optional<DatePhrase> last = days.named("end of a day", next);
        if (last.isPresent()) {
            return day.to(last.get().toExclusive());
        }
        Optional<DatePhrase> time = days.timeAt(timeAt);
        if (time.filter(of -> of.time().isPresent()).isPresent()
                && (connected || sentence.at(next).before() != ':')) {
            return day.at(time.get().time().orElseThrow(), time.get().toExclusive());
        }
        return day;
    }

    /** A time, followed by the day it is on; without one, the day of writing or, once it has passed, the next. */
    private DatePhrase withDay(DatePhrase time) {
        int next = time.toExclusive();
        boolean connected = is(DateClass.BEFORE_ITS_DAY, next);
        int dayAt = connected ? next + 1 : next;
        if (connected && is(DateClass.BEFORE_ITS_DAY, dayAt)) {
            dayAt++;
        }
        Optional<DatePhrase> day = dayAt < sentence.size() ? days.at(dayAt) : Optional.empty();
        if (day.isPresent()
                && day.get().time().isEmpty()
                && day.get().form() != Form.STRETCH
                && day.get().form() != Form.END) {
            return new DatePhrase(
                    time.fromInclusive(),
                    day.get().toExclusive(),
                    day.get().day(),
                    time.time(),
                    day.get().form(),
                    day.get().named());
        }
        LocalDate dayOfTime = dayOf(time.time().orElseThrow());
        return new DatePhrase(time.fromInclusive(), next, dayOfTime, time.time(), Form.TIME);
    }
}
