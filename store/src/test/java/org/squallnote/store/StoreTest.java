package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.squallnote.core.category.Hue;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;
import org.squallnote.store.account.Account;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.category.Category;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.Checklist;
import org.squallnote.store.followup.FollowUp;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.Parties;
import org.squallnote.store.outbox.OutboxEntry;
import org.squallnote.store.outbox.OutboxKind;
import org.squallnote.store.outbox.OutboxState;
import org.squallnote.store.outbox.OutboxStore;
import org.squallnote.store.source.ArchiveRule;
import org.squallnote.store.source.Cursor;
import org.squallnote.store.source.Source;
import org.squallnote.store.source.SourceStatus;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.Awaiting;
import org.squallnote.store.thread.Debts;
import org.squallnote.store.thread.StoredThread;
import org.squallnote.store.thread.ThreadStore;

@SpringBootTest(
        classes = StoreTest.Configuration.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:store", "spring.flyway.locations=classpath:db/migration"})
class StoreTest {

    @EnableAutoConfiguration
    @Import(StoreConfiguration.class)
    static class Configuration {}

    /** In this hour the clocks go back, so that local time would be ambiguous. */
    private static final Instant CLOCK_CHANGE = Instant.parse("2026-10-25T01:30:00.123456789Z");

    @Autowired
    private AccountStore accounts;

    @Autowired
    private SourceStore sources;

    @Autowired
    private CategoryStore categories;

    @Autowired
    private FollowUpStore followUps;

    @Autowired
    private ThreadStore threads;

    @Autowired
    private OutboxStore outbox;

    private final UUID owner = UUID.randomUUID();
    private final UUID source = UUID.randomUUID();

    @BeforeEach
    void anAccountWithASource() {
        accounts.insert(new Account(owner, owner.toString(), "Ines", "hash", "Europe/London", true, CLOCK_CHANGE));
        sources.insert(new Source(
                source,
                owner,
                Channel.MAIL,
                "Ines",
                "ines@x.example",
                "{}",
                new byte[] {1, 2},
                90,
                ArchiveRule.NEVER,
                CLOCK_CHANGE,
                SourceStatus.LIVE,
                "",
                0,
                0,
                null,
                0));
    }

    @Test
    void momentsAreExactWhateverTheClocksDo() {
        assertThat(accounts.byId(owner).orElseThrow().createdAt()).isEqualTo(CLOCK_CHANGE);
        assertThat(sources.addedAt(owner, source)).isEqualTo(CLOCK_CHANGE);
        assertThat(sources.byId(owner, source).orElseThrow().secret()).containsExactly(1, 2);
        assertThat(sources.byId(UUID.randomUUID(), source)).isEmpty();
    }

    @Test
    void anUpdateCountsOnlyOnTheVersionItWasBasedOn() {
        Category category = new Category(UUID.randomUUID(), owner, "Crane", Hue.CLAY, "Cr", null, 0, 3, null, 0);
        categories.insert(category);

        assertThat(categories.update(category)).isEqualTo(1);
        assertThat(categories.update(category)).isZero();
        assertThat(categories.byId(owner, category.id()).orElseThrow().version())
                .isEqualTo(1);
    }

    @Test
    void followUpsComeByDateAndTheUndatedLast() {
        LocalDate day = LocalDate.of(2026, 3, 6);
        insert("undated", null, null);
        insert("later", day.plusDays(1), null);
        insert("at three", day, LocalTime.of(15, 0));
        insert("at nine", day, LocalTime.of(9, 0));

        assertThat(followUps.open(owner))
                .extracting(FollowUp::title)
                .containsExactly("at nine", "at three", "later", "undated");
        assertThat(followUps.open(owner).get(0).replyBy().orElseThrow().time()).contains(LocalTime.of(9, 0));
    }

    private void insert(String title, LocalDate day, LocalTime time) {
        followUps.insert(new FollowUp(
                UUID.randomUUID(),
                owner,
                title,
                null,
                day,
                time,
                false,
                15,
                true,
                null,
                "yard",
                new Parties(List.of()),
                new Checklist(List.of()),
                "",
                null,
                FollowUpState.OPEN,
                CLOCK_CHANGE,
                null,
                0));
    }

    @Test
    void aThreadKeepsItsDecisionWhenWhatIsDerivedIsWrittenAgain() {
        StoredThread thread = new StoredThread(
                UUID.randomUUID(),
                owner,
                Channel.MAIL,
                "Quote",
                null,
                Turn.WITH_OTHERS,
                CLOCK_CHANGE,
                null,
                new Debts(List.of()),
                new Awaiting(List.of(new Awaited(
                        new Party("Tilda", "tilda@x.example"),
                        UUID.randomUUID(),
                        CLOCK_CHANGE,
                        Optional.of(LocalDateTime.parse("2026-03-06T15:00")),
                        true,
                        "I'll send it by three",
                        false))),
                null,
                CLOCK_CHANGE,
                1,
                null,
                null,
                null,
                null,
                0);
        threads.insert(thread);
        threads.setHandDecision(owner, thread.id(), Turn.CLOSED, CloseReason.ANSWERED, CLOCK_CHANGE, CLOCK_CHANGE);
        threads.updateDerived(thread);

        StoredThread stored = threads.byId(owner, thread.id()).orElseThrow();
        assertThat(stored.handDecision().orElseThrow().reason()).contains(CloseReason.ANSWERED);
        assertThat(stored.awaited()).isEqualTo(thread.awaited());
        assertThat(threads.count(owner, Turn.WITH_OTHERS)).isEqualTo(1);
        assertThat(threads.deleteEmpty(owner, thread.id())).isEqualTo(1);
    }

    @Test
    void anOutboxEntryMovesOnlyFromTheStateItWasSeenIn() {
        OutboxEntry entry = new OutboxEntry(
                UUID.randomUUID(),
                owner,
                source,
                UUID.randomUUID(),
                OutboxKind.SEND_MAIL,
                "m@x",
                null,
                "{}",
                OutboxState.WAITING,
                CLOCK_CHANGE,
                0,
                "",
                CLOCK_CHANGE,
                null);
        outbox.insert(entry);

        assertThat(outbox.due(owner, source, CLOCK_CHANGE.minusSeconds(1))).isEmpty();
        assertThat(outbox.due(owner, source, CLOCK_CHANGE)).hasSize(1);
        assertThat(move(entry, OutboxState.WAITING, OutboxState.UNDER_WAY)).isEqualTo(1);
        assertThat(move(entry, OutboxState.WAITING, OutboxState.CANCELLED)).isZero();
        assertThat(move(entry, OutboxState.UNDER_WAY, OutboxState.DONE)).isEqualTo(1);
        assertThat(outbox.byId(owner, entry.id()).orElseThrow().finishedAt()).isEqualTo(CLOCK_CHANGE);
        assertThat(outbox.unsettled(owner)).isEmpty();
    }

    private int move(OutboxEntry entry, OutboxState from, OutboxState to) {
        return outbox.move(owner, entry.id(), from, to, 0, "", CLOCK_CHANGE, CLOCK_CHANGE);
    }

    @Test
    void aCursorIsReplaced() {
        sources.saveCursor(owner, source, new Cursor("INBOX", 1, "5"));
        sources.saveCursor(owner, source, new Cursor("INBOX", 2, "7"));
        assertThat(sources.cursor(owner, source, "INBOX")).contains(new Cursor("INBOX", 2, "7"));
        assertThat(sources.cursor(owner, source, "Sent")).isEmpty();
    }
}
