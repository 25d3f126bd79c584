package org.squallnote.core.todo;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * That a follow-up and a task are one.
 *
 * @param uid of the task
 * @param followUpId null for a task that was seen and is none: it was done already, or comes back by itself
 * @param base what both said last; null where they never met
 * @param version of the follow-up that was compared last; {@link #LEFT} once that was taken back
 * @param seen the state of the task that was compared last; empty as long as it was never there
 */
public record TodoLink(
        UUID owner,
        UUID calendarId,
        String uid,
        @Nullable UUID followUpId,
        @Nullable Todo base,
        int version,
        String seen) {

    /** No follow-up has this version. */
    public static final int LEFT = -1;

    /** What both said last. */
    public Optional<Todo> agreed() {
        return Optional.ofNullable(base);
    }

    /** Whether the task was there. */
    public boolean wasThere() {
        return !seen.isEmpty();
    }

    /** Whether the task was made here. */
    public boolean isOwn() {
        return Todo.followUpOf(uid).isPresent();
    }

    /** Whether the follow-up was taken back, and what that meant for the task was done. */
    public boolean isLeft() {
        return version == LEFT;
    }

    /** The same after its follow-up was taken back. */
    public TodoLink left(String taskState) {
        return new TodoLink(owner, calendarId, uid, followUpId, base, LEFT, taskState);
    }

    /** The same for another task list, where the task is not yet. */
    public TodoLink movedTo(UUID otherCalendar) {
        return new TodoLink(owner, otherCalendar, uid, followUpId, base, version, "");
    }

    /** The same after both were compared. */
    public TodoLink compared(@Nullable Todo agreedOn, int followUpVersion, String taskState) {
        return new TodoLink(owner, calendarId, uid, followUpId, agreedOn, followUpVersion, taskState);
    }
}
