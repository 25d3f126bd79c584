package org.squallnote.server.todo;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.todo.Todo;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.store.todo.TodoStore;

/**
 * Keeps follow-ups and the tasks of a task list the same. It compares what has changed on either side, whatever changed it:
 * somebody here, an undo, a recipe, another program there.
 */
@Component
class TaskListKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(TaskListKeeper.class);

    /** So many are seen to at once; nothing else is written for the account meanwhile. */
    private static final int AT_ONCE = 200;

    private final TodoStore todos;
    private final TaskList chosen;
    private final TaskComparison comparison;
    private final OwnerLocks locks;

    TaskListKeeper(TodoStore todos, TaskList chosen, TaskComparison comparison, OwnerLocks locks) {
        this.todos = todos;
        this.chosen = chosen;
        this.comparison = comparison;
        this.locks = locks;
    }

    @Scheduled(initialDelay = 2_000, fixedDelayString = "${squallnote.tasks.every:2000}")
    void look() {
        for (UUID owner : todos.owners()) {
            try {
                chosen.of(owner)
                        // What was not read yet is not gone.
                        .filter(list -> !list.syncToken().isEmpty())
                        .ifPresent(list -> look(owner, list));
            } catch (RuntimeException e) {
                LOG.warn("The tasks of {} could not be compared", owner, e);
            }
        }
    }

    private void look(UUID owner, Calendar list) {
        List<String> changed = changed(owner, list);
        for (int from = 0; from < changed.size(); from += AT_ONCE) {
            List<String> some = changed.subList(from, Math.min(changed.size(), from + AT_ONCE));
            locks.write(owner, () -> comparison.settle(list, some));
        }
    }

    private List<String> changed(UUID owner, Calendar list) {
        Set<String> uids = new LinkedHashSet<>();
        Stream.of(
                        todos.changedThere(owner, list.id()),
                        todos.changedHere(owner),
                        todos.gone(owner, list.id()),
                        todos.takenBack(owner),
                        todos.elsewhere(owner, list.id()),
                        todos.unlinked(owner).stream().map(Todo::uid).toList())
                .forEach(uids::addAll);
        return List.copyOf(uids);
    }
}
