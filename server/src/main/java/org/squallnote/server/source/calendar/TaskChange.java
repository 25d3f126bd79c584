package org.squallnote.server.source.calendar;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.todo.Todo;
import org.squallnote.formats.calendar.CalendarTodo;
import org.squallnote.formats.calendar.TodoWriter;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.sources.calendar.ObjectWriter;

/** One attempt to write a task: what stands there is written over only where it is what was to be written over. */
final class TaskChange {

    private final Payloads.Task task;
    private final Instant now;
    private final ZoneId zone;
    private final Set<String> categories = new TreeSet<>();
    private ObjectWriter.@Nullable Written found;

    TaskChange(Payloads.Task task, Instant now, ZoneId zone) {
        this.task = task;
        this.now = now;
        this.zone = zone;
        nameCategory(task.expects());
        nameCategory(task.become());
    }

    private void nameCategory(@Nullable Todo todo) {
        if (todo != null && !todo.category().isEmpty()) {
            categories.add(todo.category());
        }
    }

    /** What it is to say, absent where it says that already or something that nobody here has seen. */
    Optional<String> of(Optional<ObjectWriter.Written> there) {
        Todo become = task.become();
        Todo expects = task.expects();
        found = there.orElse(null);
        if (become == null) {
            return Optional.empty();
        }
        if (there.isEmpty()) {
            return expects == null ? Optional.of(TodoWriter.made(task.uid(), become, now)) : Optional.empty();
        }
        return expects != null && says(there.get(), expects) && !says(there.get(), become)
                ? Optional.of(TodoWriter.changed(there.get().body(), expects, become, now))
                : Optional.empty();
    }

    /** What stood there at the last attempt. */
    Optional<ObjectWriter.Written> found() {
        return Optional.ofNullable(found);
    }

    boolean isAsExpected(ObjectWriter.Written there) {
        Todo expects = task.expects();
        return expects != null && says(there, expects);
    }

    boolean says(ObjectWriter.Written there, Todo todo) {
        return CalendarTodo.read(there.body(), zone, categories)
                .filter(read -> read.todo().equals(todo))
                .isPresent();
    }
}
