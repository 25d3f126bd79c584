package org.squallnote.server.office;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.office.OfficeWord;
import org.squallnote.core.office.OfficeWord.State;
import org.squallnote.core.source.Source;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.office.OfficeStore;
import org.squallnote.store.source.SourceStore;
import tools.jackson.databind.json.JsonMapper;

/** Who of several readers of a mailbox sees to a message, and who has answered it for all. */
@Component
public class OfficeMail implements Restorer {

    /** Whoever has typed something within this time is writing. */
    private static final Duration WRITING = Duration.ofMinutes(10);

    private final OfficeStore store;
    private final SourceStore sources;
    private final MessageStore messages;
    private final AccountStore accounts;
    private final LiveEvents live;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    OfficeMail(
            OfficeStore store,
            SourceStore sources,
            MessageStore messages,
            AccountStore accounts,
            LiveEvents live,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.sources = sources;
        this.messages = messages;
        this.accounts = accounts;
        this.live = live;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /**
     * What the readers of a mailbox know of each other about a message.
     *
     * @param address the mailbox
     * @param readers the names of the others who read it; none where I alone do
     * @param state whose the message is
     * @param by whose, by name; null for nobody's
     * @param mine whether it is mine
     * @param writing the names of the others who are writing an answer
     */
    public record OfficeView(
            String address,
            List<String> readers,
            State state,
            @Nullable String by,
            @Nullable Instant at,
            boolean mine,
            List<String> writing) {}

    /** What there is to know of a message of mine; absent where nobody else reads its mailbox. */
    Optional<OfficeView> of(SignedIn me, UUID messageId) {
        StoredMessage message = message(me.accountId(), messageId);
        Optional<String> address = shared(message);
        return address.map(mailbox -> {
            Optional<OfficeWord> word =
                    store.of(me.accountId(), mailbox, message.messageId()).filter(said -> said.state() != State.FREE);
            return new OfficeView(
                    mailbox,
                    names(store.readers(me.accountId(), mailbox)),
                    word.map(OfficeWord::state).orElse(State.FREE),
                    word.map(OfficeWord::account).map(this::name).orElse(null),
                    word.map(OfficeWord::at).orElse(null),
                    word.filter(said -> said.account().equals(me.accountId())).isPresent(),
                    names(store.writing(
                            me.accountId(),
                            mailbox,
                            message.messageId(),
                            clock.instant().minus(WRITING))));
        });
    }

    private List<String> names(List<UUID> ids) {
        return ids.stream().map(this::name).toList();
    }

    private String name(UUID account) {
        return accounts.byId(account).map(Account::name).orElse("somebody");
    }

    private StoredMessage message(UUID owner, UUID messageId) {
        return messages.byId(owner, messageId).orElseThrow(() -> Refusal.notFound("message"));
    }

    /** The mailbox of a message, where others read it too. */
    private Optional<String> shared(StoredMessage message) {
        if (message.messageId().isEmpty() || message.direction() != Direction.INCOMING) {
            return Optional.empty();
        }
        return sources.byId(message.owner(), message.sourceId())
                .filter(source -> source.removedAt() == null)
                .map(Source::address)
                .filter(address -> !store.readers(message.owner(), address).isEmpty());
    }

    /** Sees to a message for all readers of its mailbox. */
    Done take(SignedIn me, UUID commandId, UUID messageId) {
        return say(me, commandId, messageId, State.TAKEN, "office-taken", "You see to it");
    }

    /** Lets it go again. */
    Done letGo(SignedIn me, UUID commandId, UUID messageId) {
        return say(me, commandId, messageId, State.FREE, "office-let-go", "Let go, for anybody of the office");
    }

    private Done say(SignedIn me, UUID commandId, UUID messageId, State state, String kind, String label) {
        StoredMessage message = message(me.accountId(), messageId);
        String address = shared(message)
                .orElseThrow(() -> Refusal.conflict("Nobody else reads this mailbox. Nothing was changed."));
        return commands.run(me, commandId, kind, changes -> {
            write(me.accountId(), address, message, state, changes);
            changes.label(label + ": " + message.subject());
        });
    }

    private void write(UUID owner, String address, StoredMessage message, State state, Changes changes) {
        Optional<OfficeWord> before = store.of(owner, address, message.messageId());
        store.save(new OfficeWord(address, message.messageId(), owner, state, clock.instant(), true));
        changes.record(SubjectType.OFFICE_WORD, message.id(), Said.of(before), new Said(state, owner))
                .touch(Topic.INTAKE, Topic.THREADS);
    }

    /** Refuses to answer what another reader of the mailbox has answered, before anything is changed. */
    public void refuseAnswered(SignedIn me, StoredMessage message) {
        shared(message)
                .flatMap(address -> store.of(me.accountId(), address, message.messageId()))
                .filter(word -> word.state() == State.ANSWERED && word.isOthersThan(me.accountId()))
                .ifPresent(word -> {
                    throw Refusal.conflict(name(word.account())
                            + " has answered this already. Nothing was sent; your text is kept. Send it all the same"
                            + " only if theirs does not settle it.");
                });
    }

    /** I have answered a message: for all readers of its mailbox. Part of the command that answers. */
    public void answered(SignedIn me, StoredMessage message, Changes changes) {
        shared(message).ifPresent(address -> write(me.accountId(), address, message, State.ANSWERED, changes));
    }

    /** I have begun an answer, or given it up: the others see that. */
    public void writing(UUID owner, StoredMessage message) {
        shared(message)
                .ifPresent(address ->
                        store.readers(owner, address).forEach(reader -> live.changed(reader, List.of(Topic.OFFICE))));
    }

    /** What was said of a message, as it stands in the history; by nobody where nothing was. */
    record Said(State state, @Nullable UUID by) {

        static Said of(Optional<OfficeWord> word) {
            return word.map(said -> new Said(said.state(), said.account())).orElse(new Said(State.FREE, null));
        }
    }

    @Override
    public SubjectType type() {
        return SubjectType.OFFICE_WORD;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        StoredMessage message = message(owner, entry.subjectId());
        return sources.byId(owner, message.sourceId())
                .map(source -> Said.of(store.of(owner, source.address(), message.messageId())))
                .orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        StoredMessage message = message(owner, entry.subjectId());
        if (entry.before() != null) {
            Said before = json.readValue(entry.before(), Said.class);
            sources.byId(owner, message.sourceId())
                    .ifPresent(source -> store.save(new OfficeWord(
                            source.address(),
                            message.messageId(),
                            before.by() == null ? owner : before.by(),
                            before.state(),
                            clock.instant(),
                            true)));
            changes.touch(Topic.INTAKE, Topic.THREADS);
        }
    }
}
