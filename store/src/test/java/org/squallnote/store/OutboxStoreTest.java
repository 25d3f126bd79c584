package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.message.Decision;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.store.outbox.OutboxStore;

class OutboxStoreTest extends StoreTest {

    @Autowired
    private OutboxStore outbox;

    private OutboxEntry insert(OutboxKind kind, Instant notBefore) {
        UUID id = UUID.randomUUID();
        OutboxEntry entry = new OutboxEntry(
                id,
                owner,
                source,
                UUID.randomUUID(),
                kind,
                id + "@x",
                null,
                "{\"raw\":\"long\"}",
                OutboxState.WAITING,
                notBefore,
                0,
                "",
                CLOCK_CHANGE,
                null);
        outbox.insert(entry);
        return entry;
    }

    private int move(OutboxEntry entry, OutboxState from, OutboxState to) {
        return outbox.move(owner, entry.id(), from, to, 0, "", CLOCK_CHANGE, CLOCK_CHANGE);
    }

    @Test
    void anEntryMovesOnlyFromTheStateItWasSeenIn() {
        OutboxEntry entry = insert(OutboxKind.SEND_MAIL, CLOCK_CHANGE);
        assertThat(outbox.due(owner, source, CLOCK_CHANGE.minusSeconds(1))).isEmpty();
        assertThat(outbox.due(owner, source, CLOCK_CHANGE)).hasSize(1);
        assertThat(move(entry, OutboxState.WAITING, OutboxState.UNDER_WAY)).isEqualTo(1);
        assertThat(outbox.underWay(owner, source)).hasSize(1);
        assertThat(move(entry, OutboxState.WAITING, OutboxState.CANCELLED)).isZero();
        assertThat(move(entry, OutboxState.UNDER_WAY, OutboxState.DONE)).isEqualTo(1);
        assertThat(outbox.byId(owner, entry.id()).orElseThrow().finishedAt()).isEqualTo(CLOCK_CHANGE);
        assertThat(outbox.unsettled(owner)).isEmpty();
        assertThat(outbox.byId(stranger, entry.id())).isEmpty();
    }

    @Test
    void theNextOneThatIsDueIsKnown() {
        insert(OutboxKind.SEND_MAIL, CLOCK_CHANGE.plusSeconds(9));
        OutboxEntry first = insert(OutboxKind.ARCHIVE, CLOCK_CHANGE.plusSeconds(3));
        assertThat(outbox.nextDue(owner, source)).contains(CLOCK_CHANGE.plusSeconds(3));
        assertThat(outbox.nextDue(stranger, source)).isEmpty();
        assertThat(outbox.byIdentity(owner, source, OutboxKind.ARCHIVE, first.identity())
                        .map(OutboxEntry::id))
                .contains(first.id());
        assertThat(outbox.ofCommand(owner, first.commandId())).hasSize(1);
    }

    @Test
    void draftsAreShownOnlyWhenThereIsTrouble() {
        OutboxEntry draft = insert(OutboxKind.KEEP_DRAFT, CLOCK_CHANGE);
        assertThat(outbox.unsettled(owner)).isEmpty();
        outbox.move(
                owner,
                draft.id(),
                OutboxState.WAITING,
                OutboxState.WAITING,
                1,
                "Nothing answers",
                CLOCK_CHANGE,
                CLOCK_CHANGE);
        assertThat(outbox.unsettled(owner)).extracting(OutboxEntry::lastError).containsExactly("Nothing answers");
        UUID message =
                insertMail("d@x", UUID.randomUUID(), 1, Decision.UNDECIDED).id();
        assertThat(outbox.countWaiting(owner, message, OutboxKind.KEEP_DRAFT)).isZero();
    }

    @Test
    void whatWasSentIsEmptiedAfterATimeAndStaysKnown() {
        OutboxEntry sent = insert(OutboxKind.SEND_MAIL, CLOCK_CHANGE);
        OutboxEntry waiting = insert(OutboxKind.SEND_MAIL, CLOCK_CHANGE);
        OutboxEntry archived = insert(OutboxKind.ARCHIVE, CLOCK_CHANGE);
        OutboxEntry draft = insert(OutboxKind.KEEP_DRAFT, CLOCK_CHANGE);
        move(sent, OutboxState.WAITING, OutboxState.DONE);
        move(archived, OutboxState.WAITING, OutboxState.DONE);
        move(draft, OutboxState.WAITING, OutboxState.DONE);

        assertThat(outbox.emptySent(owner, CLOCK_CHANGE)).as("not yet").isZero();
        assertThat(outbox.emptySent(owner, CLOCK_CHANGE.plusSeconds(1))).isEqualTo(1);
        assertThat(outbox.emptySent(owner, CLOCK_CHANGE.plusSeconds(1))).isZero();
        assertThat(outbox.byId(owner, sent.id()).orElseThrow().state()).isEqualTo(OutboxState.DONE);
        assertThat(outbox.byId(owner, waiting.id()).orElseThrow().payload()).contains("long");
        assertThat(outbox.byId(owner, archived.id()).orElseThrow().payload())
                .as("where it came from, for bringing it back")
                .contains("long");
        assertThat(outbox.forgetDrafts(owner, CLOCK_CHANGE.plusSeconds(1))).isEqualTo(1);
    }
}
