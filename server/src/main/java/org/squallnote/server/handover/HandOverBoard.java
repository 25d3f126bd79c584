package org.squallnote.server.handover;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
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
        List<HandOver> all = store.given(owner, MOST);
        if (all.isEmpty()) {
            return List.of();
        }
        Map<UUID, StoredMessage> messageOf =
                messages.byIds(owner, all.stream().map(HandOver::giverMessage).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(StoredMessage::id, Function.identity()));
        Map<String, StoredMessage> mails = mails(owner, all);
        Set<UUID> threadIds = Stream.concat(messageOf.values().stream(), mails.values().stream())
                .map(StoredMessage::threadId)
                .collect(Collectors.toSet());
        Map<UUID, StoredThread> threadOf = threadIds.isEmpty()
                ? Map.of()
                : threads.byIds(owner, threadIds).stream()
                        .collect(Collectors.toMap(StoredThread::id, Function.identity()));
        Map<String, String> colleagues = new HashMap<>();
        all.stream()
                .map(HandOver::takerAddress)
                .distinct()
                .forEach(address -> store.takers(owner, address).stream()
                        .flatMap(id -> accounts.byId(id).stream())
                        .forEach(account -> colleagues.putIfAbsent(address, account.name())));
        return all.stream()
                .flatMap(handOver -> Optional.ofNullable(messageOf.get(handOver.giverMessage())).stream()
                        // One that was undone before it went out was never given.
                        .filter(message ->
                                handOver.state() != State.OFFERED || message.decision() == Decision.HANDED_OVER)
                        .map(message -> {
                            UUID threadId = mails.getOrDefault(handOver.identity(), message)
                                    .threadId();
                            return given(
                                    handOver,
                                    message,
                                    threadId,
                                    Optional.ofNullable(threadOf.get(threadId)),
                                    Optional.ofNullable(colleagues.get(handOver.takerAddress())));
                        }))
                .toList();
    }

    /** The mails by which something was handed over, as they came to or went out from an account, by their identity. */
    private Map<String, StoredMessage> mails(UUID owner, List<HandOver> all) {
        return messages
                .withMessageIds(owner, all.stream().map(HandOver::identity).toList())
                .stream()
                .collect(Collectors.toMap(StoredMessage::messageId, Function.identity(), (first, next) -> first));
    }

    private static Given given(
            HandOver handOver,
            StoredMessage message,
            UUID threadId,
            Optional<StoredThread> thread,
            Optional<String> colleague) {
        boolean waiting = thread.stream()
                .flatMap(each -> each.awaited().list().stream())
                .anyMatch(one -> one.party().address().equals(handOver.takerAddress()));
        return new Given(
                message.id(),
                threadId,
                message.subject(),
                colleague.orElse(handOver.taker()),
                handOver.takerAddress(),
                colleague.isPresent(),
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
        List<HandOver> all = store.received(owner, MOST);
        if (all.isEmpty()) {
            return List.of();
        }
        Map<String, StoredMessage> mails = mails(owner, all);
        Map<UUID, String> givers = new HashMap<>();
        all.stream()
                .map(HandOver::giver)
                .distinct()
                .forEach(id -> accounts.byId(id).ifPresent(account -> givers.put(id, account.name())));
        return all.stream()
                .flatMap(handOver -> Optional.ofNullable(mails.get(handOver.identity())).stream()
                        .map(message -> new Received(
                                message.id(),
                                message.threadId(),
                                message.subject(),
                                givers.getOrDefault(handOver.giver(), ""),
                                handOver.state(),
                                handOver.word(),
                                handOver.wantedDay(),
                                handOver.theirDay(),
                                handOver.followUp(),
                                handOver.offeredAt(),
                                handOver.changedAt())))
                .toList();
    }
}
