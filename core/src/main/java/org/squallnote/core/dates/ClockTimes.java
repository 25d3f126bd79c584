package org.squallnote.core.dates;

import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Times by the clock: "3 pm", "14:30", "1700 hrs", "by five". */
final class ClockTimes {

    private static final Pattern CLOCK =
            Pattern.compile("(\\d{1,2})(?:[:.h](\\d{2}))?(am|pm|a\\.m|p\\.m|a|p|h|hrs|ish)?");
    private static final Pattern FOUR_DIGITS = Pattern.compile("\\d{4}");
    private static final int LONGEST_TIME = 9;
    private static final LocalTime NOON = LocalTime.NOON;

    private static final LocalTime EARLIEST_START = LocalTime.of(4, 30);

    private final Sentence sentence;
    private final DateWords words;
    private final DateContext context;

    ClockTimes(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.words = context.words();
        this.context = context;
    }

    Optional<DatePhrase> at(int from) {
        String word = sentence.norm(from);
        if (!Character.isDigit(word.charAt(0))) {
            int hour = words.number(sentence, from);
            boolean isHour = hour >= 1 && hour <= 12 && !word.startsWith("a");
            if (isHour && isClockUnit(sentence.norm(from + 1))) {
                return withUnit(from, hour, 0);
            }
            if (isHour && introduced(from)) {
                int minutes = words.number(sentence, from + 1);
                if (minutes == 15 || minutes == 30 || minutes == 45) {
                    return on(from, from + 2, hour, minutes);
                }
            }
            return bareHourAt(from);
        }
        if (word.equals("12") && sentence.norm(from + 1).equals("noon")) {
            return time(from, from + 2, NOON);
        }
        if (FOUR_DIGITS.matcher(word).matches()) {
            return militaryAt(from);
        }
        Matcher clock = word.length() <= LONGEST_TIME ? CLOCK.matcher(word) : CLOCK.matcher("");
        if (!clock.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(clock.group(1));
        boolean hasMinutes = clock.group(2) != null;
        int minutes = hasMinutes ? Integer.parseInt(clock.group(2)) : 0;
        String suffix = clock.group(3) == null ? "" : clock.group(3);
        if (hour > 24 || minutes > 59) {
            return Optional.empty();
        }
        if (suffix.startsWith("a") || suffix.startsWith("p")) {
            return halfDay(from, from + 1, hour, minutes, suffix.startsWith("p"));
        }
        if (isClockUnit(sentence.norm(from + 1))) {
            return withUnit(from, hour, minutes);
        }
        if (word.indexOf(':') > 0
                || (hasMinutes && word.indexOf('h') > 0)
                || (word.indexOf('.') > 0 && introduced(from) && minutes % 5 == 0)) {
            return hasMinutes && hour < 24 ? on(from, from + 1, hour, minutes) : Optional.empty();
        }
        if (suffix.equals("h") || suffix.equals("hrs") || suffix.equals("ish")) {
            return hour < 24 && introduced(from) ? on(from, from + 1, hour, 0) : Optional.empty();
        }
        return bareHourAt(from);
    }

    /** "by 1700 hrs". */
    private Optional<DatePhrase> militaryAt(int from) {
        String word = sentence.norm(from);
        boolean unit = sentence.norm(from + 1).equals("hours")
                || sentence.norm(from + 1).equals("h");
        int hour = Integer.parseInt(word.substring(0, 2));
        int minutes = Integer.parseInt(word.substring(2));
        // "by 1700" is a time, "by 2030" rather a year.
        boolean bare = introduced(from)
                && hour < 19
                && minutes % 5 == 0
                && (from + 1 >= sentence.size() || sentence.at(from + 1).followsMark() || isDayNext(from + 1));
        if (!(unit || bare) || hour > 23 || minutes > 59) {
            return Optional.empty();
        }
        return time(from, unit ? from + 2 : from + 1, LocalTime.of(hour, minutes));
    }

    private boolean isDayNext(int at) {
        return sentence.at(at).is("on", "today", "tomorrow", "please", "if", "or", "so", "whether")
                || words.weekday(sentence, at) != DateWords.NONE;
    }

    private static boolean isClockUnit(String word) {
        return word.equals("am")
                || word.equals("pm")
                || word.equals("a.m")
                || word.equals("p.m")
                || word.equals("o'clock")
                || word.equals("oclock")
                || word.equals("uhr");
    }

    private Optional<DatePhrase> withUnit(int from, int hour, int minutes) {
        String unit = sentence.norm(from + 1);
        if (unit.startsWith("o") || unit.equals("uhr")) {
            return on(from, from + 2, hour, minutes);
        }
        return halfDay(from, from + 2, hour, minutes, unit.startsWith("p"));
    }

    private Optional<DatePhrase> halfDay(int from, int to, int hour, int minutes, boolean afternoon) {
        if (hour > 23) {
            return Optional.empty();
        }
        int on24 = hour > 12 ? hour : hour % 12 + (afternoon ? 12 : 0);
        return time(from, to, LocalTime.of(on24, minutes));
    }

    /** "by five", "at 9": an hour that only the word before makes one, and nothing after it denies. */
    Optional<DatePhrase> bareHourAt(int from) {
        String word = sentence.norm(from);
        if (word.isEmpty()) {
            return Optional.empty();
        }
        int hour = words.number(sentence, from);
        boolean plain = hour >= 1 && hour <= 23 && word.length() <= 6 && !word.equals("a") && !word.equals("an");
        boolean follows = from + 1 >= sentence.size()
                || sentence.at(from + 1).followsMark()
                || (words.mayFollowADate(sentence, from + 1) && words.month(sentence, from + 1) < 0);
        if (!plain || !introduced(from) || !follows) {
            return Optional.empty();
        }
        int to = from + 1;
        if (sentence.norm(to).equals("sharp") || sentence.norm(to).equals("ish")) {
            to++;
        }
        return on(from, to, hour, 0);
    }

    /** Whether a word before it makes a number an hour. */
    boolean introduced(int from) {
        String before = sentence.norm(from - 1);
        if (before.equals("about") || before.equals("around") || before.equals("roughly")) {
            return true;
        }
        return isDeadlineWord(before)
                || before.equals("at")
                || before.equals("from")
                || before.equals("between")
                || (before.equals("to") && sentence.norm(from - 3).equals("from"))
                || (before.equals("and") && sentence.norm(from - 3).equals("between"));
    }

    static boolean isDeadlineWord(String word) {
        return word.equals("by")
                || word.equals("before")
                || word.equals("until")
                || word.equals("till")
                || word.equals("than")
                || word.equals("for");
    }

    /** An hour without am or pm: as office hours have it, so that 3 is in the afternoon and 9 in the morning. */
    Optional<DatePhrase> on(int from, int to, int hour, int minutes) {
        if (hour == 24) {
            return Optional.empty();
        }
        LocalTime sent = context.sentAt().toLocalTime();
        // The baker who writes at six means half past six.
        boolean early = !sent.isBefore(EARLIEST_START) && hour < 7 && sent.isBefore(LocalTime.of(hour % 12, minutes));
        boolean afternoon =
                hour >= 1 && hour < 7 && !early && !sentence.norm(from).startsWith("0");
        return partNamedAfter(from, to, hour, LocalTime.of(afternoon ? hour + 12 : hour, minutes));
    }

    /** "three in the afternoon", "nine in the evening". */
    private Optional<DatePhrase> partNamedAfter(int from, int to, int hour, LocalTime time) {
        if (sentence.norm(to).equals("in") && sentence.norm(to + 1).equals("the")) {
            String part = sentence.norm(to + 2);
            if (part.equals("morning")) {
                return time(from, to + 3, LocalTime.of(hour % 12, time.getMinute()));
            }
            if (part.equals("afternoon") || part.equals("evening")) {
                return time(from, to + 3, LocalTime.of(hour % 12 + 12, time.getMinute()));
            }
        }
        return time(from, to, time);
    }

    private Optional<DatePhrase> time(int from, int to, LocalTime time) {
        return Optional.of(new DatePhrase(from, to, context.today(), Optional.of(time), Form.TIME));
    }
}
