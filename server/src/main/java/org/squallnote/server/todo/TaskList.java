package org.squallnote.server.todo;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.calendar.CalendarChoice;
import org.squallnote.store.todo.TodoStore;
import tools.jackson.databind.json.JsonMapper;

/** The task list of a server in which an account's follow-ups stand too. */
@Component
class TaskList extends CalendarChoice {

    private final TodoStore todos;

    TaskList(Tools tools, TodoStore todos, JsonMapper json) {
        super(SubjectType.TASK_LIST, TodoStore.CHOICE, "Follow-ups", Calendar::isForTasks, tools, json);
        this.todos = todos;
    }

    /** How many follow-ups stand in it, or are on their way there. */
    int followUps(UUID owner) {
        return of(owner).map(list -> todos.count(owner, list.id())).orElse(0);
    }
}
