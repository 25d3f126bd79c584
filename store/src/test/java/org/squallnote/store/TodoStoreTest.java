package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.StoredObject;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.todo.Todo;
import org.squallnote.core.todo.TodoLink;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.preference.PreferenceStore;
import org.squallnote.store.todo.TodoStore;

class TodoStoreTest extends StoreTest {

    private static final Instant NINE = Instant.parse("2026-03-04T09:00:00Z");
    private static final Todo SAID =
            new Todo("Plan", DAY, null, null, Priority.HIGH, FollowUpState.OPEN, "a\nnote", "Berths", "Office");

    @Autowired
    private TodoStore todos;

    @Autowired
    private CalendarStore calendars;

    @Autowired
    private FollowUpStore followUps;

    @Autowired
    private PreferenceStore preferences;

    private final UUID list = UUID.randomUUID();
    private FollowUp followUp;
    private TodoLink link;

    @BeforeEach
    void insert() {
        calendars.insert(new Calendar(
                list,
                owner,
                source,
                "https://x.example/tasks/",
                "Tasks",
                CalendarUse.BUSY,
                "",
                NINE,
                "Europe/London",
                NINE,
                false,
                true,
                0));
        followUp = followUp("Plan", DAY, null);
        followUps.insert(followUp);
        link = new TodoLink(owner, list, "u1", followUp.id(), SAID, 0, "e1");
    }

    private void task(String uid, String etag) {
        calendars.removeObject(owner, list, uid);
        calendars.insertObject(owner, new StoredObject(list, uid, uid, etag, "BEGIN:VCALENDAR"));
    }

    @Test
    void aLinkIsKeptWholeAndBelongsToItsOwner() {
        todos.insert(link);
        assertThat(todos.byUid(owner, "u1")).contains(link);
        assertThat(todos.byUid(stranger, "u1")).isEmpty();
        assertThat(todos.count(owner, list)).isEqualTo(1);
        assertThat(todos.count(stranger, list)).isZero();
        todos.update(link.left("e2"));
        assertThat(todos.byUid(owner, "u1")).contains(link.left("e2"));
        assertThat(todos.noteWritten(stranger, "u1", SAID, "e3")).isZero();
        assertThat(todos.delete(stranger, "u1")).isZero();
        assertThat(todos.delete(owner, "u1")).isEqualTo(1);
    }

    @Test
    void aTaskThatWasSeenAndIsNoFollowUpIsALinkToo() {
        TodoLink none = new TodoLink(owner, list, "u1", null, null, 0, "e1");
        todos.insert(none);
        assertThat(todos.byUid(owner, "u1")).contains(none);
        assertThat(todos.takenBack(owner)).isEmpty();
    }

    @Test
    void whatIsNewOrChangedThereIsFoundUntilItWasSeen() {
        task("u1", "e1");
        assertThat(todos.changedThere(owner, list)).containsExactly("u1");
        todos.insert(link);
        assertThat(todos.changedThere(owner, list)).isEmpty();
        task("u1", "e2");
        assertThat(todos.changedThere(owner, list)).containsExactly("u1");
        todos.noteWritten(owner, "u1", SAID, "e2");
        assertThat(todos.changedThere(owner, list)).isEmpty();
        assertThat(todos.changedThere(stranger, list)).isEmpty();
    }

    @Test
    void whatHasChangedHereOrWasTakenBackIsFound() {
        assertThat(todos.unlinked(owner)).containsExactly(followUp.id());
        assertThat(todos.unlinked(stranger)).isEmpty();
        todos.insert(link);
        assertThat(todos.unlinked(owner)).isEmpty();
        assertThat(todos.changedHere(owner)).isEmpty();
        followUps.update(followUp.ended(FollowUpState.DONE, NINE));
        assertThat(todos.changedHere(owner)).containsExactly("u1");
        followUps.delete(owner, followUp.id());
        assertThat(todos.takenBack(owner)).containsExactly("u1");
        assertThat(todos.takenBack(stranger)).isEmpty();
        todos.update(link.left("e1"));
        assertThat(todos.takenBack(owner)).isEmpty();
    }

    @Test
    void whatIsGoneFromTheListIsFoundOnceItWasThere() {
        todos.insert(link);
        assertThat(todos.gone(owner, list)).containsExactly("u1");
        assertThat(todos.gone(stranger, list)).isEmpty();
        todos.update(link.movedTo(list));
        assertThat(todos.gone(owner, list)).isEmpty();
        assertThat(todos.elsewhere(owner, UUID.randomUUID())).containsExactly("u1");
        assertThat(todos.elsewhere(owner, list)).isEmpty();
    }

    @Test
    void whoHasChosenAListIsKnown() {
        assertThat(todos.owners()).doesNotContain(owner);
        preferences.save(owner, TodoStore.CHOICE, list.toString());
        assertThat(todos.owners()).contains(owner).doesNotContain(stranger);
        preferences.save(owner, TodoStore.CHOICE, "");
        assertThat(todos.owners()).doesNotContain(owner);
    }
}
