package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectParameters;
import com.github.mangstadt.vinnie.VObjectProperty;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.todo.Todo;

/** Writes follow-ups as tasks (VTODO, RFC 5545 section 3.6.2). Of a task that is there only what has changed is written. */
public final class TodoWriter {

    private static final DateTimeFormatter UTC =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("uuuuMMdd", Locale.ROOT);

    private TodoWriter() {}

    /** A task that is not there yet. */
    public static String made(String uid, Todo todo, Instant now) {
        Component calendar = new Component("VCALENDAR");
        calendar.set("PRODID", "-//Squallnote//Follow-ups//EN");
        Component task = new Component("VTODO");
        task.set("UID", uid);
        task.set("CREATED", UTC.format(now));
        calendar.add(task);
        write(task, Optional.empty(), todo, now);
        return calendar.text();
    }

    /** Several tasks in one calendar, by their UIDs. */
    public static String all(Map<String, Todo> todos, Instant now) {
        return all(todos, Map.of(), now);
    }

    /**
     * The same with where each comes from.
     *
     * @param urls the address of what a task is about (RFC 5545 section 3.8.4.6), by its UID, for those that have one
     */
    public static String all(Map<String, Todo> todos, Map<String, String> urls, Instant now) {
        Component calendar = new Component("VCALENDAR");
        calendar.set("VERSION", "2.0");
        calendar.set("PRODID", "-//Squallnote//Follow-ups//EN");
        todos.forEach((uid, todo) -> {
            Component task = new Component("VTODO");
            task.set("UID", uid);
            calendar.add(task);
            write(task, Optional.empty(), todo, now);
            Optional.ofNullable(urls.get(uid)).ifPresent(url -> task.set("URL", url));
        });
        return calendar.text();
    }

    /**
     * A task that is there, changed; what else it says stays.
     *
     * @param there the object as it is
     * @param before what it says
     * @throws IllegalArgumentException where it holds no task
     */
    public static String changed(String there, Todo before, Todo to, Instant now) {
        Component calendar = Component.calendar(there)
                .filter(it -> !it.parts("VTODO").isEmpty())
                .orElseThrow(() -> new IllegalArgumentException("There is no task in this."))
                .copy();
        Component task = calendar.parts("VTODO").get(0);
        write(task, Optional.of(before), to, now);
        String sequence = task.value("SEQUENCE");
        task.set("SEQUENCE", sequence.matches("\\d{1,8}") ? String.valueOf(Integer.parseInt(sequence) + 1) : "1");
        return calendar.text();
    }

    private static void write(Component task, Optional<Todo> before, Todo to, Instant now) {
        task.set("DTSTAMP", UTC.format(now));
        task.set("LAST-MODIFIED", UTC.format(now));
        if (before.filter(old -> old.title().equals(to.title())).isEmpty()) {
            task.say("SUMMARY", to.title());
        }
        if (before.filter(old -> isDatedLike(old, to)).isEmpty()) {
            dates(task, to);
        }
        if (before.filter(old -> old.priority() == to.priority()).isEmpty()) {
            priority(task, to.priority());
        }
        if (before.filter(old -> old.state() == to.state()).isEmpty()) {
            state(task, to.state(), now);
        }
        if (before.filter(old -> old.note().equals(to.note())).isEmpty()) {
            note(task, to.note());
        }
        String oldCategory = before.map(Todo::category).orElse("");
        if (!oldCategory.equals(to.category())) {
            category(task, oldCategory, to.category());
        }
        if (before.filter(old -> old.place().equals(to.place())).isEmpty()) {
            sayOrClear(task, "LOCATION", to.place());
        }
    }

    private static boolean isDatedLike(Todo one, Todo other) {
        return Objects.equals(one.dueDay(), other.dueDay())
                && Objects.equals(one.dueAt(), other.dueAt())
                && Objects.equals(one.startDay(), other.startDay());
    }

    /** Both are dates or both are times (RFC 5545 section 3.8.2.3). */
    private static void dates(Component task, Todo to) {
        // Only one of both may stand there.
        task.clear("DURATION");
        task.clear("DUE");
        task.clear("DTSTART");
        LocalDate start = to.startDay();
        Instant at = to.dueAt();
        if (at == null) {
            date(task, "DTSTART", start);
            date(task, "DUE", to.dueDay());
            return;
        }
        if (start != null) {
            // At noon it is that day on most of the earth.
            task.set("DTSTART", UTC.format(start.atTime(12, 0).toInstant(ZoneOffset.UTC)));
        }
        task.set("DUE", UTC.format(at));
    }

    private static void date(Component task, String name, @Nullable LocalDate day) {
        if (day != null) {
            VObjectParameters date = new VObjectParameters();
            date.put("VALUE", "DATE");
            task.add(new VObjectProperty(null, name, date, DATE.format(day)));
        }
    }

    private static void priority(Component task, Priority priority) {
        switch (priority) {
            case HIGH -> task.set("PRIORITY", "1");
            case LOW -> task.set("PRIORITY", "9");
            case NORMAL -> task.clear("PRIORITY");
        }
    }

    private static void state(Component task, FollowUpState state, Instant now) {
        task.clear("COMPLETED");
        task.clear("PERCENT-COMPLETE");
        switch (state) {
            case OPEN -> task.set("STATUS", "NEEDS-ACTION");
            case DROPPED -> task.set("STATUS", "CANCELLED");
            case DONE -> {
                task.set("STATUS", "COMPLETED");
                task.set("COMPLETED", UTC.format(now));
                task.set("PERCENT-COMPLETE", "100");
            }
        }
    }

    /** Of what is longer there than can be read here, what was not read stays behind it. */
    private static void note(Component task, String note) {
        String there = task.properties().lines("DESCRIPTION").strip();
        boolean more = there.length() > Todo.LONGEST_NOTE;
        sayOrClear(task, "DESCRIPTION", more ? note + "\n" + there.substring(Todo.LONGEST_NOTE - 1) : note);
    }

    private static void category(Component task, String old, String name) {
        List<String> names = new ArrayList<>(task.properties().list("CATEGORIES"));
        names.removeIf(each -> each.equalsIgnoreCase(old) || each.equalsIgnoreCase(name));
        if (!name.isEmpty()) {
            names.add(0, name);
        }
        task.clear("CATEGORIES");
        if (!names.isEmpty()) {
            task.add(new VObjectProperty(
                    "CATEGORIES", names.stream().map(Component::escaped).collect(Collectors.joining(","))));
        }
    }

    private static void sayOrClear(Component task, String name, String words) {
        if (words.isEmpty()) {
            task.clear(name);
        } else {
            task.say(name, words);
        }
    }
}
