package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectProperty;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.todo.Todo;

/**
 * A task as it stands in a task list (VTODO, RFC 5545 section 3.6.2).
 *
 * @param todo what it says that a follow-up can say too
 * @param repeats whether it comes back by itself
 */
public record CalendarTodo(String uid, Todo todo, boolean repeats) {

    private static final int LONGEST_UID = 500;

    /** Those up to it are high (RFC 5545 section 3.8.1.9). */
    private static final int LAST_HIGH = 4;

    private static final int FIRST_LOW = 6;

    /**
     * Reads an object of a calendar of a server.
     *
     * @param zone of whoever looks, for what floats and for the day of a moment
     * @param categories the names of the categories that there are
     * @return absent where it holds no task, or one without a UID or a title
     */
    public static Optional<CalendarTodo> read(String body, ZoneId zone, Collection<String> categories) {
        Optional<Component> calendar = Component.calendar(body);
        List<Component> tasks = calendar.map(each -> each.parts("VTODO")).orElse(List.of());
        if (tasks.isEmpty()) {
            return Optional.empty();
        }
        Component task = tasks.get(0);
        String uid = task.value("UID");
        Properties said = task.properties();
        String title = said.text("SUMMARY", Todo.LONGEST_TITLE);
        if (uid.isEmpty() || uid.length() > LONGEST_UID || title.isEmpty()) {
            return Optional.empty();
        }
        boolean repeats = tasks.size() > 1
                || said.first("RRULE").or(() -> said.first("RDATE")).isPresent();
        TimeZones zones = calendar.map(Component::zones).orElseGet(TimeZones::new);
        return Optional.of(new CalendarTodo(uid, todo(said, title, zones, zone, categories), repeats));
    }

    /** The UID of the task in an object; empty where there is none. */
    public static String uidOf(String body) {
        return Component.calendar(body).map(each -> each.parts("VTODO")).orElse(List.of()).stream()
                .map(task -> task.value("UID"))
                .filter(uid -> uid.length() <= LONGEST_UID)
                .findFirst()
                .orElse("");
    }

    static Todo todo(Properties said, String title, TimeZones zones, ZoneId zone, Collection<String> categories) {
        Optional<Moment> due = moment(said, "DUE", zones);
        LocalDate dueDay =
                due.filter(Moment::dateOnly).map(it -> it.local().toLocalDate()).orElse(null);
        Instant dueAt = due.filter(it -> !it.dateOnly())
                .map(it -> it.at(zone.getRules()).truncatedTo(ChronoUnit.MINUTES))
                .orElse(null);
        LocalDate lastDay = dueAt == null ? dueDay : dueAt.atZone(zone).toLocalDate();
        return new Todo(
                title,
                dueDay,
                dueAt,
                start(moment(said, "DTSTART", zones), lastDay, zone),
                priority(said.word("PRIORITY")),
                state(said),
                cut(said.lines("DESCRIPTION").strip(), Todo.LONGEST_NOTE),
                category(said, categories),
                said.text("LOCATION", Todo.LONGEST_PLACE));
    }

    private static Optional<Moment> moment(Properties said, String name, TimeZones zones) {
        Optional<VObjectProperty> property = said.first(name);
        if (property.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(CalendarEvent.moment(property.get(), zones));
        } catch (UnreadableEventException e) {
            // A task with a date that nobody can read is still a task.
            return Optional.empty();
        }
    }

    private static @Nullable LocalDate start(Optional<Moment> start, @Nullable LocalDate lastDay, ZoneId zone) {
        return start.map(it -> it.dateOnly()
                        ? it.local().toLocalDate()
                        : it.at(zone.getRules()).atZone(zone).toLocalDate())
                .filter(day -> lastDay == null || day.isBefore(lastDay))
                .orElse(null);
    }

    private static Priority priority(String written) {
        if (!written.matches("[1-9]")) {
            return Priority.NORMAL;
        }
        int number = Integer.parseInt(written);
        return number <= LAST_HIGH ? Priority.HIGH : number >= FIRST_LOW ? Priority.LOW : Priority.NORMAL;
    }

    private static FollowUpState state(Properties said) {
        return switch (said.word("STATUS")) {
            case "COMPLETED" -> FollowUpState.DONE;
            case "CANCELLED" -> FollowUpState.DROPPED;
            case "NEEDS-ACTION", "IN-PROCESS" -> FollowUpState.OPEN;
            default -> said.first("COMPLETED").isPresent() ? FollowUpState.DONE : FollowUpState.OPEN;
        };
    }

    private static String category(Properties said, Collection<String> categories) {
        return said.list("CATEGORIES").stream()
                .flatMap(named -> categories.stream().filter(named::equalsIgnoreCase))
                .findFirst()
                .orElse("");
    }

    private static String cut(String text, int longest) {
        String lines = text.replace("\r\n", "\n").replace('\r', '\n');
        return lines.length() > longest ? lines.substring(0, longest - 1) + "…" : lines;
    }
}
