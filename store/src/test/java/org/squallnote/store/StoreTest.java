package org.squallnote.store;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.squallnote.core.account.Account;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Recipients;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.StoredMessageBuilder;
import org.squallnote.core.message.Texts;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Two accounts in a database in memory, one of them with a source, and the rows that tests share. */
@SpringBootTest(
        classes = StoreTest.Configuration.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:store", "spring.flyway.locations=classpath:db/migration"})
abstract class StoreTest {

    @EnableAutoConfiguration
    @Import(StoreConfiguration.class)
    static class Configuration {}

    /** In this hour the clocks go back, so that local time would be ambiguous. */
    static final Instant CLOCK_CHANGE = Instant.parse("2026-10-25T01:30:00.123456789Z");

    static final LocalDate DAY = LocalDate.of(2026, 10, 26);
    static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt-cranes.example");

    @Autowired
    AccountStore accounts;

    @Autowired
    SourceStore sources;

    @Autowired
    MessageStore messages;

    final UUID owner = UUID.randomUUID();
    final UUID stranger = UUID.randomUUID();
    final UUID source = UUID.randomUUID();

    @BeforeEach
    void twoAccountsAndASource() {
        for (UUID id : List.of(owner, stranger)) {
            accounts.insert(new Account(id, id.toString(), "Ines", "hash", "Europe/London", true, CLOCK_CHANGE));
        }
        sources.insert(source(source, owner, "ines-" + owner + "@x.example"));
    }

    static Source source(UUID id, UUID owner, String address) {
        return SourceBuilder.builder()
                .id(id)
                .owner(owner)
                .kind(SourceKind.MAIL)
                .name("Ines")
                .address(address)
                .settings("{}")
                .secret(new byte[] {1, 2})
                .daysBack(90)
                .archiveRule(ArchiveRule.NEVER)
                .addedAt(CLOCK_CHANGE)
                .status(SourceStatus.LIVE)
                .statusText("")
                .build();
    }

    /** A mail of Tilda's that asks me; so many seconds after the clock change. */
    StoredMessage insertMail(String mailId, UUID threadId, int seconds, Decision decision) {
        return insertMail(mailId, threadId, seconds, decision, "Quote " + seconds, Direction.INCOMING, List.of());
    }

    StoredMessage insertMail(
            String mailId,
            UUID threadId,
            int seconds,
            Decision decision,
            String subject,
            Direction direction,
            List<String> refs) {
        StoredMessage message = StoredMessageBuilder.builder()
                .id(UUID.randomUUID())
                .owner(owner)
                .sourceId(source)
                .channel(Channel.MAIL)
                .identity("m:" + mailId)
                .direction(direction)
                .nature(Nature.PERSON)
                .fromName(TILDA.name())
                .fromAddress(TILDA.address())
                .recipients(new Recipients(List.of(new Party("", "ines@x.example")), List.of(), List.of(), null))
                .subject(subject)
                .baseSubject(subject.toLowerCase(java.util.Locale.ROOT).replace("re: ", ""))
                .sentAt(CLOCK_CHANGE.plusSeconds(seconds))
                .receivedAt(CLOCK_CHANGE.plusSeconds(seconds))
                .body("Could you send it?")
                .asksMe(true)
                .ask("Could you send it?")
                .files(new Files(List.of()))
                .notices(new Texts(List.of()))
                .messageId(mailId)
                .refs(new Texts(refs))
                .component(threadId)
                .threadId(threadId)
                .decision(decision)
                .mentions(new Texts(List.of()))
                .build();
        messages.insert(message, null);
        return message;
    }

    FollowUp followUp(String title, LocalDate day, java.time.LocalTime time) {
        return new FollowUp(
                UUID.randomUUID(),
                owner,
                title,
                null,
                day,
                time,
                false,
                15,
                Priority.HIGH,
                true,
                null,
                "yard",
                new Parties(List.of()),
                new Checklist(List.of()),
                "",
                null,
                null,
                FollowUpState.OPEN,
                CLOCK_CHANGE,
                null,
                0);
    }
}
