package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Times of day: "3 pm", "14:30", "half past two", "noon", "this afternoon". */
final class TimePhrases {

    private static final LocalTime NOON = LocalTime.NOON;

    private final Sentence sentence;
    private final DateWords words;
    private final DateContext context;
    private final ClockTimes clocks;

    TimePhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.words = context.words();
        this.context = context;
        this.clocks = new ClockTimes(sentence, context);
    }

    /** "by five", "at 9": an hour that only the word before makes one, and nothing after it denies. */
    Optional<DatePhrase> bareHourAt(int from) {
        return clocks.bareHourAt(from);
    }

    /** A time on the day of writing that begins at a word, whether or not it has passed. */
    Optional<DatePhrase> at(int from) {
        String word = sentence.norm(from);
        if (word.isEmpty()) {
            return Optional.empty();
        }
        switch (word) {
            case "noon", "midday", "lunchtime" -> {
                return time(from, from + 1, NOON);
            }
            case "lunch" -> {
                String before = sentence.norm(from - 1);
                return ClockTimes.isDeadlineWord(before) || before.equals("at")
                        ? time(from, from + 1, NOON)
                        : Optional.empty();
            }
            case "half" -> {
                boolean past = sentence.norm(from + 1).equals("past");
                int hour = words.number(sentence, from + (past ? 2 : 1));
                if (hour >= 1
                        && hour <= 12
                        && (past || clocks.introduced(from))
                        && !sentence.norm(from + 1).startsWith("a")) {
                    return clocks.on(from, from + (past ? 3 : 2), hour, 30);
                }
                return Optional.empty();
            }
            case "first" -> {
                return firstThing(from);
            }
            default -> {}
        }
        Optional<DatePhrase> pastOrTo = minutesPastOrTo(from);
        if (pastOrTo.isPresent()) {
            return pastOrTo;
        }
        Optional<DatePhrase> part = partOfToday(from);
        return part.isPresent() ? part : clocks.at(from);
    }

    /** "first thing", without a day: the next start of work. */
    private Optional<DatePhrase> firstThing(int from) {
        if (!sentence.norm(from + 1).equals("thing")) {
            return Optional.empty();
        }
        int to = from + 2;
        boolean inTheMorning =
                sentence.norm(to).equals("in") && sentence.norm(to + 2).equals("morning");
        LocalTime start = context.startOf(inTheMorning ? context.today().plusDays(1) : context.today());
        if (inTheMorning) {
            return Optional.of(new DatePhrase(from, to + 3, context.today().plusDays(1), Optional.of(start), Form.DAY));
        }
        return time(from, to, start);
    }

    private Optional<DatePhrase> minutesPastOrTo(int from) {
        String word = sentence.norm(from);
        int minutes = word.equals("quarter") ? 15 : words.number(sentence, from);
        int next = from + 1;
        if (word.equals("a") && sentence.norm(next).equals("quarter")) {
            minutes = 15;
            next++;
        }
        if (minutes < 1 || minutes > 30) {
            return Optional.empty();
        }
        if (sentence.norm(next).equals("minutes")) {
            next++;
        }
        boolean past = sentence.norm(next).equals("past");
        boolean to = sentence.norm(next).equals("to") && (minutes == 15 || minutes % 5 == 0);
        int hour = words.number(sentence, next + 1);
        if ((!past && !to) || hour < 1 || hour > 12 || (to && minutes != 15 && !clocks.introduced(from))) {
            return Optional.empty();
        }
        return past
                ? clocks.on(from, next + 2, hour, minutes)
                : clocks.on(from, next + 2, hour == 1 ? 12 : hour - 1, 60 - minutes);
    }

    /** "this morning", "this afternoon", "end of the morning", of the day of writing. */
    private Optional<DatePhrase> partOfToday(int from) {
        String word = sentence.norm(from);
        int at = from;
        if (word.equals("end")
                && sentence.norm(from + 1).equals("of")
                && (sentence.norm(from + 2).equals("the")
                        || sentence.norm(from + 2).equals("this"))) {
            at = from + 3;
        } else if (word.equals("this") || word.equals("later")) {
            at = from + 1 + (sentence.norm(from + 1).equals("this") ? 1 : 0);
        } else {
            return Optional.empty();
        }
        return partOfDay(at, context.today()).map(part -> part.from(from));
    }

    /** "morning", "afternoon" of a day that is known; an evening is the day itself. */
    Optional<DatePhrase> partOfDay(int from, LocalDate day) {
        int at = from;
        if (sentence.norm(at).equals("in") && sentence.norm(at + 1).equals("the")) {
            at += 2;
        }
        if (sentence.norm(at).equals("at") && sentence.norm(at + 1).startsWith("lunch")) {
            at++;
        }
        Optional<LocalTime> time = switch (sentence.norm(at)) {
            case "morning", "lunchtime", "lunch", "noon", "midday", "am" -> Optional.of(NOON);
            case "afternoon", "pm" -> Optional.of(context.endOf(day));
            default -> Optional.empty();
        };
        if (time.isPresent()) {
            return Optional.of(new DatePhrase(from, at + 1, day, time, Form.DAY));
        }
        if (sentence.norm(at).equals("evening") || sentence.norm(at).equals("night")) {
            return Optional.of(new DatePhrase(from, at + 1, day, Optional.empty(), Form.DAY));
        }
        return Optional.empty();
    }

    private Optional<DatePhrase> time(int from, int to, LocalTime time) {
        return Optional.of(new DatePhrase(from, to, context.today(), Optional.of(time), Form.TIME));
    }
}
