package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.core.chase.ChaseOnItsWay;
import org.squallnote.core.chase.SentChase;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.Awaiting;
import org.squallnote.core.thread.Debts;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.StoredThreadBuilder;
import org.squallnote.core.turn.Answered;
import org.squallnote.core.turn.Turn;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.outbox.OutboxStore;
import org.squallnote.store.thread.ThreadStore;

class ChaseStoreTest extends StoreTest {

    private static final Instant NINE = Instant.parse("2026-03-04T09:00:00Z");
    private static final String FELIX = "felix@amadidredging.example";

    @Autowired
    private ChaseStore chases;

    @Autowired
    private ThreadStore threads;

    @Autowired
    private OutboxStore outbox;

    @Autowired
    private JdbcTemplate jdbc;

    private StoredThread thread(@Nullable LocalDate chaseOn) {
        StoredThread thread = StoredThreadBuilder.builder()
                .id(UUID.randomUUID())
                .owner(owner)
                .channel(Channel.MAIL)
                .subject("Dredging")
                .turn(Turn.WITH_OTHERS)
                .since(NINE)
                .debts(new Debts(List.of()))
                .awaited(new Awaiting(List.of()))
                .lastMessageAt(NINE)
                .messageCount(1)
                .chaseOn(chaseOn)
                .attention(Attention.MINE)
                .build();
        threads.insert(thread);
        return thread;
    }

    @Test
    void whatIsDueComesFirstWhoeverHasWaitedLongest() {
        StoredThread tomorrow = thread(DAY.plusDays(1));
        StoredThread today = thread(DAY);
        StoredThread longAgo = thread(DAY.minusDays(9));
        thread(null);
        assertThat(chases.due(owner, DAY, 10)).containsExactly(longAgo, today);
        assertThat(chases.due(owner, DAY, 1)).containsExactly(longAgo);
        assertThat(chases.due(stranger, DAY, 10)).isEmpty();
        assertThat(chases.countDue(owner, DAY)).isEqualTo(2);
        assertThat(chases.countDue(stranger, DAY)).isZero();
        assertThat(chases.chased(owner)).containsExactlyInAnyOrder(longAgo, today, tomorrow);
        assertThat(chases.setChaseOn(stranger, today.id(), DAY.plusDays(3))).isZero();
        chases.setChaseOn(owner, today.id(), DAY.plusDays(3));
        assertThat(chases.due(owner, DAY, 10)).containsExactly(longAgo);
        assertThat(threads.byTurn(owner, Turn.WITH_OTHERS, 0, 2))
                .as("those with others in the order in which they are to be reminded")
                .extracting(StoredThread::id)
                .contains(longAgo.id());
    }

    @Test
    void aDayChosenByHandIsKeptAndTakenBack() {
        StoredThread thread = thread(DAY);
        assertThat(chases.setByHand(stranger, thread.id(), DAY)).isZero();
        chases.setByHand(owner, thread.id(), DAY.plusDays(7));
        assertThat(threads.byId(owner, thread.id()).orElseThrow().chaseHand()).isEqualTo(DAY.plusDays(7));
        chases.setByHand(owner, thread.id(), null);
        assertThat(threads.byId(owner, thread.id()).orElseThrow().chaseHand()).isNull();
    }

    @Test
    void theLastAnswersOfSomebodyAreFoundNewestFirst() {
        UUID thread = UUID.randomUUID();
        Answered old = new Answered(FELIX, UUID.randomUUID(), NINE.minusSeconds(900), NINE.minusSeconds(600));
        Answered last = new Answered(FELIX, UUID.randomUUID(), NINE.minusSeconds(500), NINE);
        chases.insertAnswer(owner, thread, old);
        chases.insertAnswer(owner, thread, last);
        Answered bos = new Answered("bo@x.example", last.ask(), NINE, NINE);
        chases.insertAnswer(owner, thread, bos);
        List<String> both = List.of(FELIX, "bo@x.example");
        assertThat(chases.lastAnswers(owner, List.of(FELIX), 20)).containsExactly(last, old);
        assertThat(chases.lastAnswers(owner, both, 1))
                .as("so many of each, not of all")
                .containsExactly(bos, last);
        assertThat(chases.lastAnswers(stranger, both, 20)).isEmpty();
        assertThat(chases.answersInThread(owner, thread)).hasSize(3);
        assertThat(chases.deleteAnswers(stranger, thread)).isZero();
        assertThat(chases.deleteAnswers(owner, thread)).isEqualTo(3);
    }

    @Test
    void aReminderIsOnItsWayUntilItHasGoneOut() {
        ChaseOnItsWay chase = new ChaseOnItsWay(UUID.randomUUID(), FELIX, source, "chase.1@x.example");
        chases.insertChase(owner, chase);
        UUID entry = UUID.randomUUID();
        outbox.insert(new OutboxEntry(
                entry,
                owner,
                source,
                UUID.randomUUID(),
                OutboxKind.SEND_MAIL,
                chase.identity(),
                null,
                "{}",
                OutboxState.WAITING,
                NINE,
                0,
                "",
                NINE,
                null));
        assertThat(chases.onTheirWay(owner)).containsExactly(chase);
        assertThat(chases.onTheirWay(stranger)).isEmpty();
        outbox.move(owner, entry, OutboxState.WAITING, OutboxState.UNCERTAIN, 0, "", NINE, NINE);
        assertThat(chases.onTheirWay(owner)).as("it may have gone out").containsExactly(chase);
        outbox.move(owner, entry, OutboxState.UNCERTAIN, OutboxState.CANCELLED, 0, "", NINE, NINE);
        assertThat(chases.onTheirWay(owner)).isEmpty();
        assertThat(chases.chases(owner, chase.threadId())).containsExactly(chase);
        assertThat(chases.chases(stranger, chase.threadId())).isEmpty();
    }

    @Test
    void aReminderThatHasGoneOutIsFoundFromEachThreadOfWhichItSpeaks() {
        UUID written = UUID.randomUUID();
        UUID other = UUID.randomUUID();
        for (UUID thread : List.of(written, other)) {
            chases.insertChase(owner, new ChaseOnItsWay(thread, FELIX, source, "chase.2@x.example"));
        }
        assertThat(chases.sent(owner, other)).as("it waits").isEmpty();
        StoredMessage theirs = insertMail("chase.2@x.example", other, 1, Decision.UNDECIDED);
        assertThat(chases.sent(owner, other)).as("that one is not mine").isEmpty();
        StoredMessage mine = insertMail(
                "chase.2@x.example ", written, 2, Decision.UNDECIDED, "Re: Quote", Direction.OUTGOING, List.of());
        jdbc.update(
                "update message set message_id = ? where owner = ? and id = ?", theirs.messageId(), owner, mine.id());
        SentChase sent = new SentChase(FELIX, mine.id(), mine.fromAddress(), mine.sentAt());
        assertThat(chases.sent(owner, other)).containsExactly(sent);
        assertThat(chases.sent(owner, written)).containsExactly(sent);
        assertThat(chases.sent(stranger, other)).isEmpty();
        assertThat(chases.threadsOf(owner, "chase.2@x.example")).containsExactlyInAnyOrder(written, other);
        assertThat(chases.threadsOf(stranger, "chase.2@x.example")).isEmpty();
    }
}
