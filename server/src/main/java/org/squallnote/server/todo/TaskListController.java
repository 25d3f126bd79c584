package org.squallnote.server.todo;

import jakarta.validation.Valid;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** In which task list follow-ups stand too. */
@RestController
class TaskListController {

    private final TaskList chosen;

    TaskListController(TaskList chosen) {
        this.chosen = chosen;
    }

    record TaskListForm(@Nullable UUID calendarId) {}

    /**
     * The task list.
     *
     * @param followUps how many stand in it, or are on their way
     */
    record TaskListView(@Nullable UUID calendarId, int followUps) {}

    @GetMapping("/api/settings/tasks")
    TaskListView taskList(@CurrentAccount SignedIn me) {
        return new TaskListView(chosen.chosen(me.accountId()).calendarId(), chosen.followUps(me.accountId()));
    }

    @PutMapping("/api/settings/tasks")
    Done chooseTaskList(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody TaskListForm body) {
        return chosen.choose(me, commandId, body.calendarId());
    }
}
