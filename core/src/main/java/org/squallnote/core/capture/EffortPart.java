package org.squallnote.core.capture;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;

/** How long it takes: "15 min", "about half an hour", "1h30", "45m" between commas. */
final class EffortPart {

    private static final int MOST = 6000;
    private static final Pattern EFFORT = Pattern.compile(
            "(?i)(?<![\\w./,:-])(?<about>(?:about|ca\\.?|circa|roughly|takes|~)\\s*)?(?:(?<half>half an? hour)|(?<hours>\\d{1,2}(?:[.,]\\d)?|an?|one|two|three|four)\\s?(?:hours?|hrs?|h)(?:\\s?(?<rest>[0-5]?\\d)(?:\\s?min(?:utes?|s)?)?)?|(?<minutes>\\d{1,4})\\s?-?(?:min(?:utes?|s)?|(?<short>m)))(?![\\w-])");
    private static final Pattern BEFORE_A_STRETCH = Pattern.compile("(?i)(in|within|after|every|next|for|of) $");
    private static final Map<String, Double> NUMBERS =
            Map.of("a", 1.0, "an", 1.0, "one", 1.0, "two", 2.0, "three", 3.0, "four", 4.0);

    private EffortPart() {}

    /** The minutes, taken out of the line. */
    static Optional<Integer> takenFrom(LineParts parts) {
        String line = parts.line();
        Matcher match = EFFORT.matcher(line);
        while (match.find()) {
            int minutes = minutes(match);
            if (minutes > 0 && minutes <= MOST && isMeant(match, parts)) {
                parts.take(Kind.EFFORT, match.start(), match.end());
                return Optional.of(minutes);
            }
        }
        return Optional.empty();
    }

    private static boolean isMeant(Matcher match, LineParts parts) {
        if (BEFORE_A_STRETCH.matcher(parts.line().substring(0, match.start())).find()) {
            return false;
        }
        boolean starts = parts.startsSegment(match.start());
        boolean ends = parts.endsSegment(match.end());
        // "60 m of rope" and "a wall of 45m" are lengths: so short it stands alone.
        return match.group("short") != null ? starts && ends : starts || ends || match.group("about") != null;
    }

    private static int minutes(Matcher match) {
        if (match.group("half") != null) {
            return 30;
        }
        if (match.group("minutes") != null) {
            return Integer.parseInt(match.group("minutes"));
        }
        String hours = match.group("hours").toLowerCase(Locale.ROOT);
        Double worded = NUMBERS.get(hours);
        double whole = worded == null ? Double.parseDouble(hours.replace(',', '.')) : worded;
        int rest = match.group("rest") == null ? 0 : Integer.parseInt(match.group("rest"));
        return (int) Math.round(whole * 60) + rest;
    }
}
