package org.squallnote.server.thread;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.Reaction;
import org.squallnote.store.message.StoredMessage;
import org.squallnote.store.message.ThreadingRow;
import org.squallnote.store.source.ChatRoom;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.StoredThread;
import org.squallnote.store.thread.ThreadStore;

/** Threads. */
@RestController
class ThreadController {

    private static final int PAGE = 100;
    /** A trace shows the newest of many messages. */
    private static final int MOST_TICKS = 60;

    private final Threads threads;
    private final ThreadStore store;
    private final MessageStore messages;
    private final SourceStore sources;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ThreadController(
            Threads threads,
            ThreadStore store,
            MessageStore messages,
            SourceStore sources,
            WorkingTimes workingTimes,
            Clock clock) {
        this.threads = threads;
        this.store = store;
        this.messages = messages;
        this.sources = sources;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** A tick of the trace. */
    record Tick(UUID messageId, Instant sentAt, Direction direction, boolean automatic) {}

    /**
     * Something I owe.
     *
     * @param byDay the deadline or the promised day, with its time where it has one
     * @param answeredBy who answered in my place
     */
    record DebtView(
            Debt.Reason reason,
            String to,
            UUID messageId,
            Instant since,
            @Nullable LocalDate byDay,
            @Nullable LocalTime byTime,
            String what,
            @Nullable String answeredBy) {

        static DebtView of(Debt debt) {
            return new DebtView(
                    debt.reason(),
                    debt.to().displayName(),
                    debt.messageId(),
                    debt.since(),
                    debt.by().map(LocalDateTime::toLocalDate).orElse(null),
                    timeOf(debt.by()),
                    debt.what(),
                    debt.answeredBy().map(Party::displayName).orElse(null));
        }
    }

    /** Somebody who owes me something. */
    record AwaitedView(
            String name,
            UUID messageId,
            Instant since,
            long silenceWorkingMinutes,
            @Nullable LocalDate byDay,
            @Nullable LocalTime byTime,
            boolean promised,
            String what) {}

    /** A whole day stands as its last moment. */
    private static @Nullable LocalTime timeOf(Optional<LocalDateTime> by) {
        return by.map(LocalDateTime::toLocalTime)
                .filter(time -> !time.equals(LocalTime.MAX))
                .orElse(null);
    }

    record ThreadLine(
            UUID id,
            Channel channel,
            String subject,
            @Nullable String room,
            List<String> people,
            Turn turn,
            @Nullable Instant since,
            long silenceWorkingMinutes,
            List<DebtView> debts,
            List<AwaitedView> awaited,
            boolean openedAgain,
            @Nullable CloseReason closedAs,
            int messageCount,
            List<Tick> trace,
            int version) {}

    record ThreadsView(Map<Turn, Integer> counts, List<ThreadLine> lines, boolean more, Instant now) {}

    record ThreadMessage(
            UUID id,
            Direction direction,
            Nature nature,
            Party from,
            Instant sentAt,
            String ownWords,
            boolean hasMore,
            List<String> files,
            List<String> reactions,
            boolean edited,
            boolean removed) {}

    record ThreadDetail(ThreadLine line, List<ThreadMessage> messages, Instant now) {}

    @GetMapping("/api/threads")
    ThreadsView list(@Me SignedIn me, @RequestParam Turn turn, @RequestParam(defaultValue = "0") int offset) {
        UUID owner = me.accountId();
        Map<Turn, Integer> counts = new EnumMap<>(Turn.class);
        for (Turn each : Turn.values()) {
            counts.put(each, store.count(owner, each));
        }
        List<StoredThread> found = store.byTurn(owner, turn, Math.max(offset, 0), PAGE + 1);
        List<StoredThread> shown = found.subList(0, Math.min(PAGE, found.size()));
        Map<UUID, List<ThreadingRow>> rows = new HashMap<>();
        if (!shown.isEmpty()) {
            messages.threadingInThreads(
                            owner, shown.stream().map(StoredThread::id).toList())
                    .forEach(row -> rows.computeIfAbsent(row.threadId(), id -> new ArrayList<>())
                            .add(row));
        }
        Instant now = clock.instant();
        List<ThreadLine> lines = shown.stream()
                .map(thread -> line(me, thread, rows.getOrDefault(thread.id(), List.of()), now))
                .toList();
        return new ThreadsView(counts, lines, found.size() > PAGE, now);
    }

    @GetMapping("/api/threads/{id}")
    ThreadDetail one(@Me SignedIn me, @PathVariable UUID id) {
        StoredThread thread = threads.get(me.accountId(), id);
        Instant now = clock.instant();
        Map<String, List<String>> reactions = new HashMap<>();
        for (Reaction reaction : messages.reactionsInThread(me.accountId(), id)) {
            reactions
                    .computeIfAbsent(reaction.target(), target -> new ArrayList<>())
                    .add(reaction.content());
        }
        List<ThreadMessage> all = messages.inThread(me.accountId(), id).stream()
                .map(message -> message(message, reactions.getOrDefault(message.messageId(), List.of())))
                .toList();
        return new ThreadDetail(line(me, thread, messages.threadingInThread(me.accountId(), id), now), all, now);
    }

    private static ThreadMessage message(StoredMessage message, List<String> reactions) {
        OwnWords words = OwnWords.of(message.body(), message.from().name());
        return new ThreadMessage(
                message.id(),
                message.direction(),
                message.nature(),
                message.from(),
                message.sentAt(),
                words.own().isEmpty() ? message.body() : words.own(),
                !words.own().isEmpty() && !words.carried().isEmpty(),
                message.files().list().stream().map(file -> file.name()).toList(),
                reactions,
                message.edited(),
                message.removed());
    }

    private ThreadLine line(SignedIn me, StoredThread thread, List<ThreadingRow> rows, Instant now) {
        Set<String> mine = new TreeSet<>(sources.addresses(me.accountId()));
        Set<String> people = new TreeSet<>();
        for (ThreadingRow row : rows) {
            if (!mine.contains(row.fromAddress())) {
                people.add(new Party(row.fromName(), row.fromAddress()).displayName());
            } else if (thread.channel() == Channel.MAIL) {
                row.recipients().to().stream()
                        .filter(party -> !mine.contains(party.address()))
                        .forEach(party -> people.add(party.displayName()));
            }
        }
        List<Tick> trace = rows.stream()
                .skip(Math.max(0, rows.size() - MOST_TICKS))
                .map(row -> new Tick(
                        row.id(), row.sentAt(), row.direction(), !row.nature().isPersonal()))
                .toList();
        Map<String, String> names = new HashMap<>();
        for (ThreadingRow row : rows) {
            names.putIfAbsent(row.fromAddress(), new Party(row.fromName(), row.fromAddress()).displayName());
        }
        WorkingTime workingTime = workingTimes.of(me.accountId());
        Instant silentSince = Optional.ofNullable(thread.since()).orElse(thread.lastMessageAt());
        return new ThreadLine(
                thread.id(),
                thread.channel(),
                thread.subject(),
                Optional.ofNullable(thread.roomId())
                        .flatMap(room -> sources.room(me.accountId(), room))
                        .filter(room -> !room.direct())
                        .map(ChatRoom::name)
                        .orElse(null),
                List.copyOf(people),
                thread.turn(),
                thread.since(),
                workingTime.between(silentSince, now).toMinutes(),
                thread.debts().list().stream().map(DebtView::of).toList(),
                thread.awaited().list().stream()
                        .map(one -> awaited(one, names, workingTime, now))
                        .toList(),
                thread.reopenedBy() != null,
                thread.turn() == Turn.CLOSED ? thread.handReason() : null,
                thread.messageCount(),
                trace,
                thread.version());
    }

    private static AwaitedView awaited(Awaited one, Map<String, String> names, WorkingTime workingTime, Instant now) {
        return new AwaitedView(
                one.party().name().isEmpty()
                        ? names.getOrDefault(one.party().address(), one.party().displayName())
                        : one.party().displayName(),
                one.messageId(),
                one.since(),
                workingTime.between(one.since(), now).toMinutes(),
                one.by().map(LocalDateTime::toLocalDate).orElse(null),
                timeOf(one.by()),
                one.promised(),
                one.what());
    }

    @PostMapping("/api/threads/{id}/close")
    Done close(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @RequestParam CloseReason reason) {
        return threads.close(me, commandId, id, reason);
    }

    @PostMapping("/api/threads/{id}/no-reply-owed")
    Done noReplyOwed(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return threads.noReplyOwed(me, commandId, id);
    }

    @PostMapping("/api/threads/{id}/hand-turn")
    Done handTurn(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return threads.handTurn(me, commandId, id);
    }

    @PostMapping("/api/threads/{id}/open-again")
    Done openAgain(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return threads.openAgain(me, commandId, id);
    }
}
