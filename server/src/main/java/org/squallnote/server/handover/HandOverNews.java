package org.squallnote.server.handover;

import java.time.Clock;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOver.Side;
import org.squallnote.core.handover.HandOver.State;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.thread.Threads;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;

/**
 * Tells the other side of a hand-over what became of it, and does there what follows. Each side is written for itself,
 * so that nobody waits for the other's account; what was not told when the application ended is told after it starts.
 */
@Component
class HandOverNews {

    private static final Logger LOG = LoggerFactory.getLogger(HandOverNews.class);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final HandOverStore store;
    private final AccountStore accounts;
    private final MessageStore messages;
    private final Decisions decisions;
    private final Threads threads;
    private final ThreadTurns turns;
    private final FollowUpStore followUpStore;
    private final FollowUps followUps;
    private final Commands commands;
    private final Clock clock;

    HandOverNews(
            HandOverStore store,
            AccountStore accounts,
            MessageStore messages,
            Decisions decisions,
            Threads threads,
            ThreadTurns turns,
            FollowUpStore followUpStore,
            FollowUps followUps,
            Commands commands,
            Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.messages = messages;
        this.decisions = decisions;
        this.threads = threads;
        this.turns = turns;
        this.followUpStore = followUpStore;
        this.followUps = followUps;
        this.commands = commands;
        this.clock = clock;
    }

    /** Tells everybody what they have not been told. */
    @Scheduled(fixedDelay = 500)
    void spread() {
        List<HandOver> untold = store.untold();
        for (HandOver handOver : untold) {
            try {
                if (handOver.untold() == Side.GIVER) {
                    tellGiver(handOver);
                } else {
                    store.takers(handOver.giver(), handOver.takerAddress())
                            .forEach(taker -> accounts.byId(taker)
                                    .ifPresent(account -> tellTaker(SignedIn.of(account), handOver)));
                }
                store.told(handOver);
            } catch (RuntimeException e) {
                // Tried again in a moment; one that cannot be told must not keep the others.
                LOG.warn("Hand-over {} could not be told", handOver.identity(), e);
            }
        }
    }

    private static String news(HandOver handOver) {
        return handOver.identity() + " " + handOver.state() + " " + handOver.changedAt();
    }

    private void tellGiver(HandOver handOver) {
        Optional<Account> giver = accounts.byId(handOver.giver());
        if (giver.isEmpty()) {
            return;
        }
        UUID owner = handOver.giver();
        commands.runForAnother(owner, "hand-over-news", news(handOver), changes -> {
            boolean declined = handOver.state() == State.DECLINED;
            messages.byId(owner, handOver.giverMessage())
                    .filter(message -> declined && message.decision() == Decision.HANDED_OVER)
                    .ifPresent(message -> {
                        decisions.backWithin(owner, message.id(), changes);
                        threads.openAgainWithin(owner, message.threadId(), changes);
                    });
            messages.withMessageId(owner, handOver.identity()).forEach(mail -> turns.refresh(owner, mail.threadId()));
            String subject = messages.byId(owner, handOver.giverMessage())
                    .map(StoredMessage::subject)
                    .orElse("");
            changes.label(words(handOver) + ": " + subject).touch(Topic.INTAKE, Topic.THREADS);
            if (handOver.state() != State.SEEN && handOver.state() != State.OFFERED) {
                changes.announce();
            }
            parentFollows(handOver);
        });
    }

    /** What was handed on is done with it, or is back with whoever did. */
    private void parentFollows(HandOver child) {
        State next = child.state() == State.DONE ? State.DONE : child.state() == State.DECLINED ? State.ACCEPTED : null;
        if (child.parent() != null && next != null) {
            store.forTaker(child.giver(), child.parent())
                    .filter(parent -> parent.state() == State.HANDED_ON)
                    .ifPresent(parent -> store.settle(parent.to(next, Side.TAKER, child.word(), clock.instant())));
        }
    }

    private String words(HandOver handOver) {
        String who = takerName(handOver);
        String word = handOver.word().isBlank() ? "" : " (" + handOver.word() + ")";
        return switch (handOver.state()) {
            case OFFERED -> "With " + who;
            case SEEN -> who + " has seen it";
            case ACCEPTED ->
                who + " has accepted it"
                        + Optional.ofNullable(handOver.theirDay())
                                .map(day -> " for " + DAY.format(day))
                                .orElse("");
            case WORKING -> who + " is working on it";
            case HANDED_ON -> who + " has handed it on to " + handOver.word();
            case DONE -> who + " has done it" + word;
            case DECLINED -> who + " cannot take it" + word;
            case TAKEN_BACK -> "Taken back from " + who;
        };
    }

    private String takerName(HandOver handOver) {
        return store.takers(handOver.giver(), handOver.takerAddress()).stream()
                .flatMap(taker -> accounts.byId(taker).stream())
                .map(Account::name)
                .findFirst()
                .orElse(handOver.taker());
    }

    private void tellTaker(SignedIn taker, HandOver handOver) {
        UUID owner = taker.accountId();
        String giver = accounts.byId(handOver.giver()).map(Account::name).orElse("somebody");
        commands.runForAnother(owner, "hand-over-news", news(handOver), changes -> {
            List<StoredMessage> mail = messages.withMessageId(owner, handOver.identity());
            mail.stream()
                    .filter(message -> message.decision() == Decision.UNDECIDED)
                    .forEach(message -> decisions.decide(taker, message, Decision.NOTHING, false, changes));
            Optional.ofNullable(handOver.followUp())
                    .flatMap(id -> followUpStore.byId(owner, id))
                    .filter(followUp -> followUp.state() == FollowUpState.OPEN)
                    .ifPresent(followUp -> drop(owner, followUp, changes));
            String subject =
                    mail.stream().map(StoredMessage::subject).findFirst().orElse("");
            changes.label(giver + " has taken back what they handed over to you: " + subject)
                    .touch(Topic.INTAKE, Topic.THREADS)
                    .announce();
        });
    }

    private void drop(UUID owner, FollowUp followUp, Changes changes) {
        Instant now = clock.instant();
        followUps.changeWithin(owner, followUp.id(), each -> each.ended(FollowUpState.DROPPED, now), changes);
    }
}
