package org.squallnote.core.reminder;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.reminder.Reminder.Kind;
import org.squallnote.core.time.WorkingTime;

/**
 * A reminder as somebody types it: "tomorrow 9", "in 20 min", "1 hour before", "when somebody answers".
 *
 * @param at the moment in the account's zone, of one at a moment
 * @param minutesBefore of one that goes by the reply-by date
 * @param always whether it may come outside of working time; who names a time means it
 */
public record TypedReminder(
        Kind kind, @Nullable LocalDateTime at, @Nullable Integer minutesBefore, boolean always) {

    /** Longer input is none. */
    public static final int LONGEST = 80;

    private static final String UNIT = "(min|minutes?|m|h|hours?|d|days?|weeks?)";
    private static final Pattern BEFORE =
            Pattern.compile("(\\d{1,4}|an?|half an) ?" + UNIT + "(?: before(?: it is due| its date)?| ahead)");
    private static final Pattern IN = Pattern.compile("in (\\d{1,4}|an?|half an) ?" + "(min|minutes?|m|h|hours?)");
    private static final Pattern ANSWERED = Pattern.compile(
            "(?:when|once|if|as soon as) \\p{L}[\\p{L} ]{0,30}? (?:answers?|answered|repl(?:y|ies)|writes?)|on (?:an answer|a reply)|answered");
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.UK);
    private static final int DAY = 24 * 60;

    /** Reads it; absent when the words say no reminder, or one that has passed. */
    public static Optional<TypedReminder> read(String typed, DateContext dates) {
        if (typed.isBlank() || typed.length() > LONGEST) {
            return Optional.empty();
        }
        String words = typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        Matcher before = BEFORE.matcher(words);
        if (before.matches()) {
            return Optional.of(new TypedReminder(Kind.BEFORE, null, minutes(before.group(1), before.group(2)), false));
        }
        if (ANSWERED.matcher(words).matches()) {
            return Optional.of(new TypedReminder(Kind.ANSWERED, null, null, false));
        }
        Matcher in = IN.matcher(words);
        if (in.matches()) {
            return Optional.of(new TypedReminder(
                    Kind.AT, dates.sentAt().plusMinutes(minutes(in.group(1), in.group(2))), null, true));
        }
        return TypedDate.read(words, dates)
                .map(phrase -> {
                    LocalTime time = phrase.time()
                            .or(() -> dates.workingTime().hoursOn(phrase.day()).map(WorkingTime.Hours::fromInclusive))
                            .orElse(LocalTime.of(9, 0));
                    return new TypedReminder(
                            Kind.AT,
                            phrase.day().atTime(time),
                            null,
                            phrase.time().isPresent());
                })
                .filter(it -> it.at() != null && it.at().isAfter(dates.sentAt()));
    }

    private static int minutes(String number, String unit) {
        boolean half = number.startsWith("half");
        int count = number.startsWith("a") ? 1 : half ? 1 : Integer.parseInt(number);
        int each = unit.startsWith("m") ? 1 : unit.startsWith("h") ? 60 : unit.startsWith("d") ? DAY : 7 * DAY;
        return half ? each / 2 : count * each;
    }

    /** "Thu 5 Mar, 09:00", "1 hour before its date", "when somebody answers". */
    public static String words(Kind kind, @Nullable LocalDateTime at, @Nullable Integer minutesBefore) {
        return switch (kind) {
            case AT -> at == null ? "" : WHEN.format(at);
            case ANSWERED -> "when somebody answers";
            case BEFORE -> span(minutesBefore == null ? 0 : minutesBefore) + " before its date";
        };
    }

    private static String span(int minutes) {
        if (minutes >= DAY && minutes % DAY == 0) {
            return minutes == DAY ? "1 day" : minutes / DAY + " days";
        }
        if (minutes >= 60 && minutes % 60 == 0) {
            return minutes == 60 ? "1 hour" : minutes / 60 + " hours";
        }
        return minutes + " min";
    }
}
