package org.squallnote.core.plan;

import java.time.Duration;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A time in the day as somebody types it: "2pm 1h", "14:00", "14-15:30", "9.30 for 45 min", "noon".
 *
 * @param minutes how long, where that is said
 */
public record TypedBlock(LocalTime at, Optional<Integer> minutes) {

    /** Longer input is none. */
    public static final int LONGEST = 40;

    private static final String CLOCK = "(noon|midday|midnight|\\d{4}|\\d{1,2}(?:[:.h]\\d{2})? ?(?:am|pm)?)";
    private static final Pattern BLOCK = Pattern.compile(
            "(?:at |from )?" + CLOCK
                    + "(?: ?(?:-|–|to|till|until) ?" + CLOCK
                    + "|,? (?:for )?(?:(?<hours>\\d{1,2}(?:[.,]\\d{1,2})?) ?h(?:ours?|rs?)?)? ?(?:(?<minutes>\\d{1,3}) ?m?(?:in(?:utes?)?)?)?)?");
    private static final Pattern TIME = Pattern.compile("(\\d{1,2})(?:[:.h]?(\\d{2}))? ?(am|pm)?");
    private static final int LONGEST_MINUTES = 24 * 60;

    /** Reads it; absent when the words say no time of a day. */
    public static Optional<TypedBlock> read(String typed) {
        String words = typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        if (words.isEmpty() || words.length() > LONGEST) {
            return Optional.empty();
        }
        Matcher match = BLOCK.matcher(words);
        if (!match.matches()) {
            return Optional.empty();
        }
        Optional<LocalTime> at = time(match.group(1));
        Optional<Integer> length = match.group(2) != null
                ? at.flatMap(from -> time(match.group(2))
                        .map(to -> (int) Duration.between(from, to).toMinutes()))
                : length(match.group("hours"), match.group("minutes"));
        if (length.filter(minutes -> minutes <= 0 || minutes > LONGEST_MINUTES).isPresent()
                || (match.group(2) != null && length.isEmpty())) {
            return Optional.empty();
        }
        return at.map(it -> new TypedBlock(it, length));
    }

    private static Optional<Integer> length(@Nullable String hours, @Nullable String minutes) {
        if (hours == null && minutes == null) {
            return Optional.empty();
        }
        double whole = hours == null ? 0 : Double.parseDouble(hours.replace(',', '.')) * 60;
        return Optional.of((int) Math.round(whole) + (minutes == null ? 0 : Integer.parseInt(minutes)));
    }

    private static Optional<LocalTime> time(String word) {
        if ("noon".equals(word) || "midday".equals(word)) {
            return Optional.of(LocalTime.NOON);
        }
        if ("midnight".equals(word)) {
            return Optional.of(LocalTime.MIDNIGHT);
        }
        Matcher match = TIME.matcher(word.strip());
        if (!match.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(match.group(1));
        int minute = match.group(2) == null ? 0 : Integer.parseInt(match.group(2));
        String half = match.group(3);
        if (half != null) {
            if (hour < 1 || hour > 12) {
                return Optional.empty();
            }
            hour = hour % 12 + ("pm".equals(half) ? 12 : 0);
        }
        return hour > 23 || minute > 59 ? Optional.empty() : Optional.of(LocalTime.of(hour, minute));
    }
}
