package org.squallnote.store.todo;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.todo.Todo;
import org.squallnote.core.todo.TodoLink;

/** Which follow-ups are tasks of a task list, and what of both has changed since they were compared. */
@Mapper
public interface TodoStore {

    /** The setting by which an account has chosen its task list. */
    String CHOICE = "task-list";

    /** Those who have chosen a task list. */
    default List<UUID> owners() {
        return havingChosen(CHOICE);
    }

    List<UUID> havingChosen(@Param("setting") String setting);

    Optional<TodoLink> byUid(@Param("owner") UUID owner, @Param("uid") String uid);

    void insert(TodoLink link);

    int update(TodoLink link);

    int delete(@Param("owner") UUID owner, @Param("uid") String uid);

    /** Notes what was written there. */
    int noteWritten(
            @Param("owner") UUID owner, @Param("uid") String uid, @Param("base") Todo base, @Param("seen") String seen);

    /** The UIDs of tasks that are new in a task list or have changed there. */
    List<String> changedThere(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    /** The UIDs of tasks whose follow-up has changed. */
    List<String> changedHere(UUID owner);

    /** The UIDs of tasks whose follow-up was taken back, and which were not left alone for that. */
    List<String> takenBack(UUID owner);

    /** The UIDs of tasks that were in a task list and are there no more. */
    List<String> gone(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    /** The UIDs of tasks that belong into another task list now. */
    List<String> elsewhere(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    /** Open follow-ups that are no task yet. */
    List<UUID> unlinked(UUID owner);

    /** How many follow-ups are tasks of a task list, those that are still to be written with them. */
    int count(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);
}
