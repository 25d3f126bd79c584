package org.squallnote.core.plan;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;

/** The plan of a day in plain words, for a mail to oneself. */
public final class MorningPlan {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);

    /** Of what could be done besides, so many are named. */
    private static final int MOST_NAMED = 15;

    private MorningPlan() {}

    /**
     * The words.
     *
     * @param meetings of that day, and of others
     */
    public static String of(Today today, List<Meeting> meetings, Horizon horizon) {
        ZoneId zone = horizon.workingTime().zone();
        List<String> lines = new ArrayList<>();
        lines.add(DAY.format(horizon.today()) + ": "
                + span(horizon.freeTime().roomMinutes(horizon.today(), horizon.now())) + " free, "
                + span(today.entries().stream()
                        .mapToInt(Today.Entry::minutesLeft)
                        .sum()) + " planned.");
        List<String> timed = meetings.stream()
                .filter(meeting -> meeting.reaches(
                        horizon.today().atStartOfDay(zone).toInstant(),
                        horizon.today().plusDays(1).atStartOfDay(zone).toInstant()))
                .map(meeting -> meeting.allDay()
                        ? "  all day  " + meeting.title()
                        : "  " + time(meeting.fromInclusive(), zone) + "–" + time(meeting.toExclusive(), zone) + "  "
                                + meeting.title()
                                + (meeting.place().isBlank() ? "" : " (" + meeting.place() + ")"))
                .toList();
        part(lines, "Meetings", timed);
        part(
                lines,
                "Planned",
                today.entries().stream()
                        .map(entry -> "  " + line(entry.followUp(), entry.minutesLeft()))
                        .toList());
        List<Candidate> pressing =
                today.candidates().stream().filter(each -> each.why().presses()).toList();
        part(
                lines,
                "Not planned, and due or left over",
                pressing.stream()
                        .limit(MOST_NAMED)
                        .map(each ->
                                "  " + line(each.followUp(), each.followUp().expectedMinutes()))
                        .toList());
        if (pressing.size() > MOST_NAMED) {
            lines.add("  and " + (pressing.size() - MOST_NAMED) + " more");
        }
        int others = today.candidates().size() - pressing.size();
        if (others > 0) {
            lines.add("");
            lines.add(others == 1 ? "1 more could be done today." : others + " more could be done today.");
        }
        return String.join("\n", lines);
    }

    private static void part(List<String> lines, String title, List<String> of) {
        if (!of.isEmpty()) {
            lines.add("");
            lines.add(title);
            lines.addAll(of);
        }
    }

    private static String line(FollowUp followUp, int minutes) {
        String by = followUp.replyBy()
                .flatMap(date -> date.time())
                .map(time -> ", by " + TIME.format(time))
                .orElse("");
        return followUp.title() + " (" + span(minutes) + by + ")";
    }

    private static String time(Instant at, ZoneId zone) {
        return TIME.format(LocalDateTime.ofInstant(at, zone));
    }

    private static String span(int minutes) {
        if (minutes < 60) {
            return minutes + " min";
        }
        return minutes % 60 == 0 ? minutes / 60 + " h" : minutes / 60 + " h " + minutes % 60;
    }
}
