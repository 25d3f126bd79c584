package org.squallnote.core.dates;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A time in one word: "14:30", "3pm", "9.30", "14h30", "10ish".
 *
 * @param hour from 0 to 24
 * @param mark what stands between hours and minutes; empty where there are no minutes
 * @param suffix what stands behind it in the same word: "am", "p", "h", "ish"
 */
record WrittenTime(int hour, int minutes, String mark, String suffix) {

    private static final Pattern CLOCK =
            Pattern.compile("(\\d{1,2})(?:([:.h])(\\d{2}))?(am|pm|a\\.m|p\\.m|a|p|h|hrs|ish)?");

    private static final int LONGEST = 9;

    private static final int LAST_HOUR = 24;

    private static final int LAST_MINUTE = 59;

    private static final int WHOLE_FIVE = 5;

    /** The time in a word; nothing where it holds none. */
    static Optional<WrittenTime> in(String word) {
        if (word.isEmpty() || word.length() > LONGEST || !Character.isDigit(word.charAt(0))) {
            return Optional.empty();
        }
        Matcher clock = CLOCK.matcher(word);
        if (!clock.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(clock.group(1));
        int minutes = clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3));
        String mark = clock.group(2) == null ? "" : clock.group(2);
        String suffix = clock.group(4) == null ? "" : clock.group(4);
        return hour <= LAST_HOUR && minutes <= LAST_MINUTE
                ? Optional.of(new WrittenTime(hour, minutes, mark, suffix))
                : Optional.empty();
    }

    /** Whether it says which half of the day. */
    boolean tellsHalf() {
        return suffix.startsWith("a") || suffix.startsWith("p");
    }

    /** Whether a number that has to do with hours by nothing but its word stands for a time. */
    boolean standsAlone(boolean introduced) {
        if (tellsHalf()) {
            return true;
        }
        boolean withMinutes = switch (mark) {
            case ":", "h" -> true;
            case "." -> introduced && minutes % WHOLE_FIVE == 0;
            default -> false;
        };
        boolean wholeHour = mark.isEmpty() && !suffix.isEmpty() && introduced;
        return hour < LAST_HOUR && (withMinutes || wholeHour);
    }
}
