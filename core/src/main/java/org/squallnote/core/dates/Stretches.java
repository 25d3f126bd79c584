package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Stretches from now: "within 10 working days", "in a fortnight", "a week on Friday", "in two weeks' time". */
final class Stretches {

    /** Nobody sets a deadline farther ahead than this many units. */
    private static final int FARTHEST = 400;

    private static final int FEW = 3;

    /** What is "held for seven days" ends then. */
    private static final WordSet ENDING = WordSet.of(
            "held", "valid", "good", "firm", "fixed", "open", "reserved", "kept", "stands", "hold", "keep", "reserve");

    private static final WordSet HELD =
            WordSet.of("it", "this", "that", "them", "offer", "price", "place", "quote", "room", "berth");

    /** "you have fourteen days to pay", "we give you a week to answer". */
    private static final WordSet GRANTING = WordSet.of("have", "you", "got", "you've", "only", "just", "another");

    private final Sentence sentence;
    private final DateContext context;

    Stretches(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
    }

    Optional<DatePhrase> at(int from) {
        String lead = sentence.norm(from);
        if (lead.equals("within") || lead.equals("in") || lead.equals("over")) {
            int at = from + 1;
            boolean next = false;
            if (sentence.norm(at).equals("the")
                    || sentence.norm(at).equals("about")
                    || sentence.norm(at).equals("around")) {
                at++;
            }
            if (sentence.norm(at).equals("next") || sentence.norm(at).equals("coming")) {
                at++;
                next = true;
            }
            return amount(from, at, lead.equals("within") || next);
        }
        if (lead.equals("the") && sentence.norm(from + 1).equals("next")) {
            return amount(from, from + 2, true).filter(found -> found.toExclusive() > from + 3);
        }
        Optional<DatePhrase> fromNow = amount(from, from, false);
        if (fromNow.isEmpty()) {
            return fromNow;
        }
        int to = fromNow.get().toExclusive();
        String joint = sentence.norm(to);
        if (joint.equals("ago")) {
            return Optional.of(fromNow.get().to(to + 1).as(Form.PAST));
        }
        if (joint.equals("from")
                && (sentence.norm(to + 1).equals("now") || sentence.norm(to + 1).equals("today"))) {
            return Optional.of(fromNow.get().to(to + 2));
        }
        boolean held =
                ENDING.has(sentence, from - 2) || (HELD.has(sentence, from - 2) && ENDING.has(sentence, from - 3));
        boolean granted = joint.equals("to") && GRANTING.has(sentence, from - 1);
        if (granted || (held && sentence.norm(from - 1).equals("for"))) {
            return fromNow;
        }
        boolean week =
                sentence.norm(to - 1).equals("week") || sentence.norm(to - 1).equals("fortnight");
        boolean weekday = DateWords.isWeekday(sentence, to + 1);
        if (week && (joint.equals("today") || joint.equals("tomorrow"))) {
            LocalDate day = fromNow.get().day().plusDays(joint.equals("today") ? 0 : 1);
            return day(from, to + 1, day);
        }
        if (week && weekday && (joint.equals("on") || joint.equals("from"))) {
            DayOfWeek day = DayOfWeek.of(DateWords.weekdayIndex(sentence, to + 1));
            int weeks = sentence.norm(to - 1).equals("fortnight") ? 2 : 1;
            LocalDate date = context.today().with(TemporalAdjusters.next(day)).plusWeeks(weeks);
            return Optional.of(new DatePhrase(from, to + 2, date, Optional.empty(), Form.DAY));
        }
        return Optional.empty();
    }

    /** A number and a unit, "the hour", "a fortnight". */
    private Optional<DatePhrase> amount(int from, int at, boolean bareUnit) {
        int i = at;
        int number = 1;
        boolean counted = false;
        boolean half = false;
        if (sentence.norm(i).equals("half")) {
            half = true;
            counted = true;
            i++;
            if (sentence.norm(i).equals("a") || sentence.norm(i).equals("an")) {
                i++;
            }
        } else if (isCouple(i)) {
            number = 2;
            counted = true;
            i = afterCouple(i);
        } else if (sentence.norm(i).equals("few")
                || (sentence.norm(i).equals("a") && sentence.norm(i + 1).equals("few"))) {
            number = FEW;
            counted = true;
            i += sentence.norm(i).equals("few") ? 1 : 2;
        } else {
            int value = DateWords.number(sentence, i);
            if (value > 0 && value <= FARTHEST) {
                number = value;
                counted = true;
                i++;
                if (sentence.norm(i).equals("or") && DateWords.number(sentence, i + 1) > 0) {
                    number = DateWords.number(sentence, i + 1);
                    i += 2;
                }
            }
        }
        if (!counted && !bareUnit) {
            return Optional.empty();
        }
        boolean working = false;
        if (sentence.norm(i).equals("working")
                || sentence.norm(i).equals("business")
                || sentence.norm(i).equals("work")) {
            working = true;
            i++;
        }
        String unit = sentence.norm(i);
        // "a day or two"
        if (number == 1
                && sentence.norm(i + 1).equals("or")
                && sentence.norm(i + 2).equals("two")) {
            number = 2;
            i += 2;
        }
        int to = i + 1;
        if (sentence.norm(to).equals("time") && !half) {
            to++;
        }
        return resolve(from, to, number, half, working, unit);
    }

    private boolean isCouple(int i) {
        return sentence.norm(i).equals("couple")
                || (sentence.norm(i).equals("a") && sentence.norm(i + 1).equals("couple"));
    }

    private int afterCouple(int i) {
        int next = sentence.norm(i).equals("couple") ? i + 1 : i + 2;
        return sentence.norm(next).equals("of") ? next + 1 : next;
    }

    private Optional<DatePhrase> resolve(int from, int to, int number, boolean half, boolean working, String unit) {
        LocalDate today = context.today();
        String singular = unit.endsWith("'") || unit.endsWith("'s") ? unit.substring(0, unit.indexOf('\'')) : unit;
        if (singular.endsWith("s")) {
            singular = singular.substring(0, singular.length() - 1);
        }
        return switch (singular) {
            case "day" ->
                day(from, to, working ? context.workingTime().addWorkingDays(today, number) : today.plusDays(number));
            case "week" -> day(from, to, today.plusWeeks(number));
            case "fortnight" -> day(from, to, today.plusWeeks(2L * number));
            case "month" -> day(from, to, today.plusMonths(number));
            case "hour" -> moment(from, to, context.sentAt().plusMinutes(half ? 30 : 60L * number));
            case "minute", "min" -> moment(from, to, context.sentAt().plusMinutes(number));
            default -> Optional.empty();
        };
    }

    private static Optional<DatePhrase> day(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.empty(), Form.STRETCH));
    }

    private static Optional<DatePhrase> moment(int from, int to, LocalDateTime at) {
        LocalDateTime minute = at.truncatedTo(ChronoUnit.MINUTES);
        return Optional.of(
                new DatePhrase(from, to, minute.toLocalDate(), Optional.of(minute.toLocalTime()), Form.STRETCH));
    }
}
