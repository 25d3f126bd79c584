package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.history.ChangeOfDay;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.HistoryLine;
import org.squallnote.core.history.SubjectType;
import org.squallnote.store.history.HistoryStore;

class HistoryStoreTest extends StoreTest {

    @Autowired
    private HistoryStore history;

    private final UUID subject = UUID.randomUUID();

    private UUID insert(int step) {
        UUID command = UUID.randomUUID();
        history.insertCommand(new Command(command, owner, "changed", "", CLOCK_CHANGE, null, null));
        history.setLabel(owner, command, "Changed " + step);
        for (int i = 0; i < step; i++) {
            history.insert(new HistoryEntry(
                    UUID.randomUUID(),
                    owner,
                    command,
                    i,
                    SubjectType.FOLLOW_UP,
                    subject,
                    "Ines",
                    CLOCK_CHANGE.plusSeconds(step),
                    3,
                    null,
                    "{\"step\":" + i + "}"));
        }
        return command;
    }

    @Test
    void aChangeIsKeptInItsStepsWithTheVersionOfItsForm() {
        UUID command = insert(3);
        assertThat(history.ofCommand(owner, command))
                .extracting(HistoryEntry::step)
                .containsExactly(0, 1, 2);
        assertThat(history.ofCommand(owner, command).get(2).version()).isEqualTo(3);
        assertThat(history.ofCommand(owner, command).get(2).after()).isEqualTo("{\"step\":2}");
        assertThat(history.ofCommand(stranger, command)).isEmpty();
        assertThat(history.command(stranger, command)).isEmpty();
        assertThat(history.command(owner, command).orElseThrow().label()).isEqualTo("Changed 3");
    }

    @Test
    void aChangeIsTakenBackOnce() {
        UUID command = insert(1);
        UUID undo = insert(0);
        assertThat(history.markUndone(stranger, command, undo)).isZero();
        assertThat(history.markUndone(owner, command, undo)).isEqualTo(1);
        assertThat(history.markUndone(owner, command, undo)).isZero();
    }

    @Test
    void theChangesOfASpanComeTheNewestFirstWithoutUndos() {
        UUID first = insert(1);
        insert(2);
        UUID undo = UUID.randomUUID();
        history.insertCommand(new Command(undo, owner, "undo", "Undone", CLOCK_CHANGE, null, first));
        history.markUndone(owner, first, undo);
        assertThat(history.between(owner, CLOCK_CHANGE, CLOCK_CHANGE.plusSeconds(1), 9))
                .extracting(ChangeOfDay::label, ChangeOfDay::undone)
                .containsExactlyInAnyOrder(tuple("Changed 2", false), tuple("Changed 1", true));
        assertThat(history.between(owner, CLOCK_CHANGE, CLOCK_CHANGE, 9)).isEmpty();
        assertThat(history.between(owner, CLOCK_CHANGE.plusSeconds(1), CLOCK_CHANGE.plusSeconds(9), 9))
                .isEmpty();
        assertThat(history.between(stranger, CLOCK_CHANGE, CLOCK_CHANGE.plusSeconds(1), 9))
                .isEmpty();
    }

    @Test
    void aRowsHistoryComesTheNewestFirstAndSaysWhatWasUndone() {
        UUID first = insert(1);
        insert(2);
        history.markUndone(owner, first, insert(0));
        assertThat(history.ofSubject(owner, subject))
                .extracting(HistoryLine::undone)
                .containsExactly(false, false, true);
        assertThat(history.ofSubject(stranger, subject)).isEmpty();
    }
}
