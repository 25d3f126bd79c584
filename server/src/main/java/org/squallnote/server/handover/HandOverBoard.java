package org.squallnote.server.handover;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOver.State;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;

/** What somebody gave away, and what they took over. */
@Component
class HandOverBoard {

    private static final int MOST = 300;

    private final HandOverStore store;
    private final AccountStore accounts;
    private final MessageStore messages;
    private final ThreadStore threads;

    HandOverBoard(HandOverStore store, AccountStore accounts, MessageStore messages, ThreadStore threads) {
        this.store = store;
        this.accounts = accounts;
        this.messages = messages;
        this.threads = threads;
    }

    /**
     * Something that I gave away.
     *
     * @param messageId my message
     * @param threadId the thread in which its taker is awaited
     * @param colleague whether the taker is of this installation; anybody else answers by mail
     * @param waiting whether the taker is awaited there
     * @param chaseOn when they are to be chased
     * @param laterThanWanted whether they mean to do it later than I want it
     */
    record Given(
            UUID messageId,
            UUID threadId,
            String subject,
            String to,
            String address,
            boolean colleague,
            State state,
            String word,
            @Nullable LocalDate wantedDay,
            @Nullable LocalDate theirDay,
            boolean laterThanWanted,
            boolean waiting,
            @Nullable LocalDate chaseOn,
            Instant offeredAt,
            Instant changedAt) {}

    /**
     * Something that I took over, or am to.
     *
     * @param messageId the mail that handed it over to me
     * @param followUp mine for it
     */
    record Received(
            UUID messageId,
            UUID threadId,
            String subject,
            String from,
            State state,
            String word,
            @Nullable LocalDate wantedDay,
            @Nullable LocalDate theirDay,
            @Nullable UUID followUp,
            Instant offeredAt,
            Instant changedAt) {}

    List<Given> given(SignedIn me) {
        UUID owner = me.accountId();
        return store.given(owner, MOST).stream()
                .flatMap(handOver -> messages.byId(owner, handOver.giverMessage()).stream()
                        // One that was undone before it went out was never given.
                        .filter(message ->
                                handOver.state() != State.OFFERED || message.decision() == Decision.HANDED_OVER)
                        .map(message -> given(owner, handOver, message)))
                .toList();
    }

    private Given given(UUID owner, HandOver handOver, StoredMessage message) {
        UUID threadId = messages.withMessageId(owner, handOver.identity()).stream()
                .map(StoredMessage::threadId)
                .findFirst()
                .orElse(message.threadId());
        Optional<StoredThread> thread = threads.byId(owner, threadId);
        boolean waiting = thread.stream()
                .flatMap(each -> each.awaited().list().stream())
                .anyMatch(one -> one.party().address().equals(handOver.takerAddress()));
        List<String> colleagues = store.takers(owner, handOver.takerAddress()).stream()
                .flatMap(id -> accounts.byId(id).stream())
                .map(Account::name)
                .toList();
        return new Given(
                message.id(),
                threadId,
                message.subject(),
                colleagues.isEmpty() ? handOver.taker() : colleagues.get(0),
                handOver.takerAddress(),
                !colleagues.isEmpty(),
                handOver.state(),
                handOver.word(),
                handOver.wantedDay(),
                handOver.theirDay(),
                handOver.isLaterThanWanted(),
                waiting,
                waiting ? thread.map(StoredThread::chaseOn).orElse(null) : null,
                handOver.offeredAt(),
                handOver.changedAt());
    }

    List<Received> received(SignedIn me) {
        UUID owner = me.accountId();
        return store.received(owner, MOST).stream()
                .flatMap(handOver -> received(owner, handOver))
                .toList();
    }

    private Stream<Received> received(UUID owner, HandOver handOver) {
        return messages.withMessageId(owner, handOver.identity()).stream()
                .limit(1)
                .map(message -> new Received(
                        message.id(),
                        message.threadId(),
                        message.subject(),
                        accounts.byId(handOver.giver()).map(Account::name).orElse(""),
                        handOver.state(),
                        handOver.word(),
                        handOver.wantedDay(),
                        handOver.theirDay(),
                        handOver.followUp(),
                        handOver.offeredAt(),
                        handOver.changedAt()));
    }
}
