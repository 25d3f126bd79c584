package org.squallnote.server.handover;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOver.State;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.thread.Threads;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.handover.HandOverStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a colleague of this installation says to a message that was handed over to them. Accepted, the giver is told;
 * declined, it is back in the giver's Intake and their turn.
 */
@Component
public class ReceivedHandOvers implements Restorer {

    private final HandOverStore store;
    private final AccountStore accounts;
    private final Decisions decisions;
    private final Threads threads;
    private final Commands commands;
    private final JsonMapper json;

    ReceivedHandOvers(
            HandOverStore store,
            AccountStore accounts,
            Decisions decisions,
            Threads threads,
            Commands commands,
            JsonMapper json) {
        this.json = json;
        this.store = store;
        this.accounts = accounts;
        this.decisions = decisions;
        this.threads = threads;
        this.commands = commands;
    }

    /**
     * A hand-over as one of the two sees it.
     *
     * @param mine whether I am the one who gave it away
     * @param who the other one
     */
    public record HandOverView(boolean mine, String who, State state, String word) {}

    /** What there is to say about a message of mine; null when it was never handed over. */
    public @Nullable HandOverView of(StoredMessage message) {
        Optional<HandOverView> given = store.ofMessage(message.owner(), message.id()).stream()
                .filter(handOver -> message.decision() == Decision.HANDED_OVER || handOver.state() == State.DECLINED)
                .findFirst()
                .map(handOver -> new HandOverView(true, handOver.takerAddress(), handOver.state(), handOver.word()));
        return given.or(() -> offered(message.owner(), message)
                        .map(handOver ->
                                new HandOverView(false, name(handOver.giver()), handOver.state(), handOver.word())))
                .orElse(null);
    }

    private Optional<HandOver> offered(UUID taker, StoredMessage message) {
        return message.messageId().isEmpty() ? Optional.empty() : store.forTaker(taker, message.messageId());
    }

    private String name(UUID accountId) {
        return accounts.byId(accountId).map(Account::name).orElse("");
    }

    /** What was said to a hand-over, as it stands in the history of the taker. */
    record Said(State state, String word) {

        static Said of(HandOver handOver) {
            return new Said(handOver.state(), handOver.word());
        }
    }

    Done accept(SignedIn me, UUID commandId, UUID messageId) {
        HandOver handOver = open(me, messageId);
        Done done = commands.run(me, commandId, "hand-over-accepted", changes -> {
            settle(handOver, State.ACCEPTED, "");
            changes.record(SubjectType.HAND_OVER, messageId, Said.of(handOver), new Said(State.ACCEPTED, ""))
                    .label("Accepted from " + name(handOver.giver()))
                    .touch(Topic.INTAKE);
        });
        tell(handOver, me.name() + " has accepted what you handed over");
        return done;
    }

    Done decline(SignedIn me, UUID commandId, UUID messageId, String word) {
        HandOver handOver = open(me, messageId);
        // The giver's side first: should the application end in between, it is with both, and with nobody never.
        giveBack(handOver, me.name(), word);
        return commands.run(me, commandId, "hand-over-declined", changes -> {
            settle(handOver, State.DECLINED, word);
            changes.record(SubjectType.HAND_OVER, messageId, Said.of(handOver), new Said(State.DECLINED, word));
            decisions.decide(me, messageId, Decision.NOTHING, false, changes);
            changes.label("Declined: it is back with " + name(handOver.giver()));
        });
    }

    private void giveBack(HandOver handOver, String taker, String word) {
        Account giver = accounts.byId(handOver.giver()).orElseThrow(() -> Refusal.notFound("account"));
        commands.run(SignedIn.of(giver), UUID.randomUUID(), "hand-over-back", changes -> {
            StoredMessage message = decisions.backWithin(handOver.giver(), handOver.giverMessage(), changes);
            threads.openAgainWithin(handOver.giver(), message.threadId(), changes);
            changes.label(taker + " cannot take it" + (word.isBlank() ? ": " : " (" + word.strip() + "): ")
                            + message.subject())
                    .announce();
        });
    }

    /** Tells the giver on every open page; nothing of theirs changes. */
    private void tell(HandOver handOver, String what) {
        accounts.byId(handOver.giver())
                .ifPresent(giver -> commands.run(
                        SignedIn.of(giver),
                        UUID.randomUUID(),
                        "hand-over-taken",
                        changes -> changes.label(what).touch(Topic.INTAKE).announce()));
    }

    private void settle(HandOver old, State state, String word) {
        store.settle(new HandOver(
                old.identity(), old.giver(), old.giverMessage(), old.takerAddress(), state, word, old.offeredAt()));
    }

    private HandOver open(SignedIn me, UUID messageId) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        HandOver handOver = offered(me.accountId(), message).orElseThrow(() -> Refusal.notFound("hand-over"));
        if (handOver.state() != State.OFFERED) {
            throw Refusal.conflict("This was accepted or declined already. Nothing was changed.");
        }
        return handOver;
    }

    @Override
    public SubjectType type() {
        return SubjectType.HAND_OVER;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return offered(owner, decisions.get(owner, entry.subjectId()))
                .map(Said::of)
                .orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        HandOver handOver = offered(owner, decisions.get(owner, entry.subjectId()))
                .orElseThrow(() -> Refusal.notFound("hand-over"));
        if (handOver.state() == State.DECLINED) {
            throw Refusal.conflict("It is back with " + name(handOver.giver())
                    + ", who was told. Ask them to hand it over again. Nothing was changed.");
        }
        if (entry.before() != null) {
            Said before = json.readValue(entry.before(), Said.class);
            settle(handOver, before.state(), before.word());
            changes.touch(Topic.INTAKE);
        }
    }
}
