package org.squallnote.server.handover;

import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOver.Side;
import org.squallnote.core.handover.HandOver.State;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.command.Changes;
import org.squallnote.server.followup.EndingFollowUps;
import org.squallnote.server.live.Topic;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;

/** What was taken over is done with the follow-up for it; dropped, it is back with its giver. */
@Component
class EndedHandOvers implements EndingFollowUps {

    private final HandOverStore store;
    private final FollowUpStore followUps;
    private final MessageStore messages;
    private final AccountStore accounts;
    private final Clock clock;

    EndedHandOvers(
            HandOverStore store, FollowUpStore followUps, MessageStore messages, AccountStore accounts, Clock clock) {
        this.store = store;
        this.followUps = followUps;
        this.messages = messages;
        this.accounts = accounts;
        this.clock = clock;
    }

    @Override
    public Optional<String> ended(UUID owner, UUID followUpId, Changes changes) {
        Optional<HandOver> taken = store.ofFollowUp(owner, followUpId);
        Optional<FollowUp> followUp = followUps.byId(owner, followUpId);
        if (taken.isEmpty() || followUp.isEmpty()) {
            return Optional.empty();
        }
        boolean done = followUp.get().state() == FollowUpState.DONE;
        HandOver old = taken.get();
        HandOver now = old.to(done ? State.DONE : State.DECLINED, Side.TAKER, "", clock.instant());
        store.settle(now);
        messages.withMessageId(owner, old.identity()).stream()
                .map(StoredMessage::id)
                .findFirst()
                .ifPresent(messageId -> changes.record(
                        SubjectType.HAND_OVER,
                        messageId,
                        ReceivedHandOvers.Said.of(old),
                        ReceivedHandOvers.Said.of(now)));
        changes.touch(Topic.INTAKE, Topic.THREADS);
        return accounts.byId(old.giver())
                .map(Account::name)
                .map(giver -> done ? giver + " is told" : "It is back with " + giver);
    }
}
