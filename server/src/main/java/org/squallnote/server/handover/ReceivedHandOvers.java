package org.squallnote.server.handover;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOver.Side;
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
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.handover.HandOverStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a colleague of this installation says to a message that was handed over to them, step by step. The giver is told;
 * declined, it is back in the giver's Intake and their turn; done, the giver waits no longer.
 */
@Component
public class ReceivedHandOvers implements Restorer {

    private final HandOverStore store;
    private final AccountStore accounts;
    private final Decisions decisions;
    private final FollowUps followUps;
    private final FollowUpStore followUpStore;
    private final HandOverNews news;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    ReceivedHandOvers(
            HandOverStore store,
            AccountStore accounts,
            Decisions decisions,
            FollowUps followUps,
            FollowUpStore followUpStore,
            HandOverNews news,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.accounts = accounts;
        this.decisions = decisions;
        this.followUps = followUps;
        this.followUpStore = followUpStore;
        this.news = news;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /**
     * A hand-over as one of the two sees it.
     *
     * @param mine whether I am the one who gave it away
     * @param who the other one
     * @param wantedDay by when the giver wants it
     * @param theirDay by when the taker means to do it
     */
    public record HandOverView(
            boolean mine,
            String who,
            State state,
            String word,
            @Nullable LocalDate wantedDay,
            @Nullable LocalDate theirDay) {}

    /** What there is to say about a message of mine; null when it was never handed over. */
    public @Nullable HandOverView of(StoredMessage message) {
        Optional<HandOverView> given = store.ofMessage(message.owner(), message.id()).stream()
                .filter(handOver -> message.decision() == Decision.HANDED_OVER || handOver.state() == State.DECLINED)
                .findFirst()
                .map(handOver -> view(handOver, true, handOver.taker()));
        return given.or(() -> offered(message.owner(), message)
                        .map(handOver -> view(handOver, false, name(handOver.giver()))))
                .orElse(null);
    }

    private static HandOverView view(HandOver handOver, boolean mine, String who) {
        return new HandOverView(
                mine, who, handOver.state(), handOver.word(), handOver.wantedDay(), handOver.theirDay());
    }

    private Optional<HandOver> offered(UUID taker, StoredMessage message) {
        return message.messageId().isEmpty() ? Optional.empty() : store.forTaker(taker, message.messageId());
    }

    private String name(UUID accountId) {
        return accounts.byId(accountId).map(Account::name).orElse("");
    }

    /**
     * What was said to a hand-over, as it stands in the history.
     *
     * @param theirDay absent in what was written before there was one
     */
    record Said(
            State state,
            String word,
            @Nullable LocalDate theirDay,
            @Nullable UUID followUp) {

        static Said of(HandOver handOver) {
            return new Said(handOver.state(), handOver.word(), handOver.theirDay(), handOver.followUp());
        }
    }

    /** The taker has looked at it. */
    void seen(SignedIn me, UUID messageId) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        offered(me.accountId(), message)
                .filter(handOver -> handOver.state() == State.OFFERED)
                .ifPresent(handOver -> store.settle(handOver.to(State.SEEN, Side.TAKER, "", clock.instant())));
        news.spread();
    }

    /**
     * Accepts.
     *
     * @param day by when I mean to do it
     * @param withFollowUp whether I want a follow-up for it
     */
    Done accept(SignedIn me, UUID commandId, UUID messageId, @Nullable LocalDate day, boolean withFollowUp) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        HandOver old = received(me, message, State.ACCEPTED);
        UUID followUp = UUID.randomUUID();
        return told(commands.run(me, commandId, "hand-over-accepted", changes -> {
            settle(
                    old,
                    old.to(State.ACCEPTED, Side.TAKER, "", clock.instant()).taken(day, withFollowUp ? followUp : null),
                    messageId,
                    changes);
            if (withFollowUp) {
                followUps.makeWithin(me, followUp, message, content(message, old, day), changes);
            }
            changes.label("Accepted from " + name(old.giver()));
        }));
    }

    private Content content(StoredMessage message, HandOver handOver, @Nullable LocalDate day) {
        String subject = message.subject().replaceFirst("(?i)^\\s*(fwd?|wg)\\s*:\\s*", "");
        String title = (subject.isBlank() ? "What was handed over" : subject) + " (for " + name(handOver.giver()) + ")";
        return new Content(
                title.length() > 300 ? title.substring(0, 300) : title,
                day,
                null,
                day != null,
                null,
                null,
                null,
                false,
                null);
    }

    /** Says that I am at it now. */
    Done working(SignedIn me, UUID commandId, UUID messageId) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        HandOver old = received(me, message, State.WORKING);
        return told(commands.run(me, commandId, "hand-over-working", changes -> {
            settle(old, old.to(State.WORKING, Side.TAKER, "", clock.instant()), messageId, changes);
            changes.label(name(old.giver()) + " sees that you are working on it");
        }));
    }

    /** Says that it is done, with a word for the giver; my follow-up for it is done with that. */
    Done done(SignedIn me, UUID commandId, UUID messageId, String word) {
        UUID owner = me.accountId();
        StoredMessage message = decisions.get(owner, messageId);
        HandOver old = received(me, message, State.DONE);
        return told(commands.run(me, commandId, "hand-over-done", changes -> {
            settle(old, old.to(State.DONE, Side.TAKER, word, clock.instant()), messageId, changes);
            Optional.ofNullable(old.followUp())
                    .flatMap(id -> followUpStore.byId(owner, id))
                    .filter(followUp -> followUp.state() == FollowUpState.OPEN)
                    .ifPresent(followUp -> end(owner, followUp, changes));
            if (!Decisions.isDecided(message)) {
                decisions.decide(me, message, Decision.NOTHING, false, changes);
            }
            changes.label("Done: " + name(old.giver()) + " is told");
        }));
    }

    private void end(UUID owner, FollowUp followUp, Changes changes) {
        followUps.changeWithin(owner, followUp.id(), each -> each.ended(FollowUpState.DONE, clock.instant()), changes);
    }

    Done decline(SignedIn me, UUID commandId, UUID messageId, String word) {
        StoredMessage message = decisions.get(me.accountId(), messageId);
        HandOver old = received(me, message, State.DECLINED);
        return told(commands.run(me, commandId, "hand-over-declined", changes -> {
            settle(old, old.to(State.DECLINED, Side.TAKER, word, clock.instant()), messageId, changes);
            if (!Decisions.isDecided(message)) {
                decisions.decide(me, message, Decision.NOTHING, false, changes);
            }
            changes.label("Declined: it is back with " + name(old.giver()));
        }));
    }

    private void settle(HandOver old, HandOver now, UUID messageId, Changes changes) {
        store.settle(now);
        changes.record(SubjectType.HAND_OVER, messageId, Said.of(old), Said.of(now))
                .touch(Topic.INTAKE, Topic.THREADS);
    }

    /** The other side need not wait for the next look. */
    private Done told(Done done) {
        news.spread();
        return done;
    }

    private HandOver received(SignedIn me, StoredMessage message, State next) {
        HandOver handOver = offered(me.accountId(), message).orElseThrow(() -> Refusal.notFound("hand-over"));
        if (!handOver.allows(next, Side.TAKER)) {
            throw Refusal.conflict(
                    handOver.state() == State.TAKEN_BACK
                            ? name(handOver.giver()) + " has taken it back. Nothing was changed."
                            : "This was accepted or declined already, or has ended. Nothing was changed.");
        }
        return handOver;
    }

    @Override
    public SubjectType type() {
        return SubjectType.HAND_OVER;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        StoredMessage message = decisions.get(owner, entry.subjectId());
        return offered(owner, message)
                .or(() -> store.ofMessage(owner, message.id()).stream().findFirst())
                .map(Said::of)
                .orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        HandOver handOver = offered(owner, decisions.get(owner, entry.subjectId()))
                .orElseThrow(() -> Refusal.conflict(
                        "They were told already. Hand it over again if they are to have it. Nothing was changed."));
        if (handOver.state() == State.DECLINED) {
            throw Refusal.conflict("It is back with " + name(handOver.giver())
                    + ", who was told. Ask them to hand it over again. Nothing was changed.");
        }
        if (entry.before() != null) {
            Said before = json.readValue(entry.before(), Said.class);
            store.settle(handOver.backTo(before.state(), before.word(), clock.instant())
                    .taken(before.theirDay(), before.followUp()));
            changes.touch(Topic.INTAKE, Topic.THREADS);
        }
    }
}
