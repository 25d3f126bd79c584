package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.Awaiting;
import org.squallnote.core.thread.Debts;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.StoredThreadBuilder;
import org.squallnote.core.thread.TurnCount;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;
import org.squallnote.store.thread.ThreadStore;

class ThreadStoreTest extends StoreTest {

    @Autowired
    private ThreadStore threads;

    private StoredThread thread(Turn turn, Instant since) {
        return StoredThreadBuilder.builder()
                .id(UUID.randomUUID())
                .owner(owner)
                .channel(Channel.MAIL)
                .subject("Quote")
                .turn(turn)
                .since(since)
                .debts(new Debts(List.of()))
                .awaited(new Awaiting(List.of(new Awaited(
                        TILDA,
                        UUID.randomUUID(),
                        CLOCK_CHANGE,
                        Optional.of(LocalDateTime.parse("2026-03-06T15:00")),
                        true,
                        "I'll send it by three",
                        false))))
                .lastMessageAt(CLOCK_CHANGE)
                .messageCount(1)
                .attention(Attention.MINE)
                .build();
    }

    @Test
    void aThreadKeepsItsDecisionWhenWhatIsDerivedIsWrittenAgain() {
        StoredThread thread = thread(Turn.WITH_OTHERS, CLOCK_CHANGE);
        threads.insert(thread);
        threads.setHandDecision(owner, thread.id(), Turn.CLOSED, CloseReason.ANSWERED, CLOCK_CHANGE, CLOCK_CHANGE);
        threads.updateDerived(thread);

        StoredThread stored = threads.byId(owner, thread.id()).orElseThrow();
        assertThat(stored.handDecision().orElseThrow().reason()).contains(CloseReason.ANSWERED);
        assertThat(stored.awaited()).isEqualTo(thread.awaited());
        assertThat(threads.byId(stranger, thread.id())).isEmpty();
    }

    @Test
    void theLongestSilenceComesFirstAndOfClosedOnesTheLastClosed() {
        for (Turn turn : List.of(Turn.WITH_ME, Turn.CLOSED)) {
            threads.insert(thread(turn, CLOCK_CHANGE.plusSeconds(2)));
            threads.insert(thread(turn, CLOCK_CHANGE.plusSeconds(1)));
        }
        assertThat(threads.byTurn(owner, Turn.WITH_ME, 0, 9))
                .extracting(StoredThread::since)
                .containsExactly(CLOCK_CHANGE.plusSeconds(1), CLOCK_CHANGE.plusSeconds(2));
        assertThat(threads.byTurn(owner, Turn.CLOSED, 0, 9))
                .extracting(StoredThread::since)
                .containsExactly(CLOCK_CHANGE.plusSeconds(2), CLOCK_CHANGE.plusSeconds(1));
        assertThat(threads.byTurn(owner, Turn.WITH_ME, 1, 9)).hasSize(1);
        assertThat(threads.counts(owner)).contains(new TurnCount(Turn.WITH_ME, 2));
        assertThat(threads.counts(stranger)).isEmpty();
    }

    @Test
    void onlyAThreadWithoutMessagesIsRemoved() {
        StoredThread thread = thread(Turn.WITH_ME, CLOCK_CHANGE);
        threads.insert(thread);
        insertMail("t@x", thread.id(), 1, Decision.UNDECIDED);
        assertThat(threads.deleteEmpty(owner, thread.id())).isZero();
        StoredThread empty = thread(Turn.WITH_ME, CLOCK_CHANGE);
        threads.insert(empty);
        assertThat(threads.deleteEmpty(stranger, empty.id())).isZero();
        assertThat(threads.deleteEmpty(owner, empty.id())).isEqualTo(1);
    }
}
