package org.squallnote.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.WorkingTime;

/** Which follow-ups prepare a meeting of today or of the next working day: those that name it, in two words at least. */
public final class Preparations {

    private static final Pattern NO_WORD = Pattern.compile("[^\\p{L}\\p{N}]+");

    /** Shorter words say nothing. */
    private static final int SHORTEST = 3;

    private static final int FEWEST_WORDS = 2;

    private Preparations() {}

    /**
     * The meetings that are prepared, by follow-up.
     *
     * @param meetings in which to look
     */
    public static Map<UUID, Meeting> of(
            List<FollowUp> open, List<Meeting> meetings, WorkingTime workingTime, Instant now) {
        ZoneId zone = workingTime.zone();
        LocalDate next = workingTime.addWorkingDays(LocalDate.ofInstant(now, zone), 1);
        Instant until = next.plusDays(1).atStartOfDay(zone).toInstant();
        Map<UUID, Meeting> prepared = new HashMap<>();
        meetings.stream()
                .filter(meeting -> meeting.fromInclusive().isAfter(now)
                        && meeting.fromInclusive().isBefore(until))
                .sorted(Comparator.comparing(Meeting::fromInclusive))
                .forEach(meeting -> {
                    Set<String> named = words(meeting.title());
                    if (named.size() >= FEWEST_WORDS) {
                        open.stream()
                                .filter(followUp -> words(followUp.title()).containsAll(named))
                                .forEach(followUp -> prepared.putIfAbsent(followUp.id(), meeting));
                    }
                });
        return prepared;
    }

    private static Set<String> words(String title) {
        Set<String> words = new HashSet<>();
        for (String word : NO_WORD.split(title.toLowerCase(Locale.ROOT))) {
            if (word.length() >= SHORTEST) {
                words.add(word);
            }
        }
        return words;
    }
}
