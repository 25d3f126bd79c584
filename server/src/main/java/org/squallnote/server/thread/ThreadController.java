package org.squallnote.server.thread;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/** Threads. */
@RestController
class ThreadController {

    private static final int PAGE = 100;

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
        ThreadLines lines = lines(me);
        List<ThreadLine> all = shown.stream()
                .map(thread -> lines.of(thread, rows.getOrDefault(thread.id(), List.of())))
                .toList();
        return new ThreadsView(counts, all, found.size() > PAGE, lines.now());
    }

    @GetMapping("/api/threads/{id}")
    ThreadDetail one(@Me SignedIn me, @PathVariable UUID id) {
        StoredThread thread = threads.get(me.accountId(), id);
        Map<String, List<String>> reactions = new HashMap<>();
        for (Reaction reaction : messages.reactionsInThread(me.accountId(), id)) {
            reactions
                    .computeIfAbsent(reaction.target(), target -> new ArrayList<>())
                    .add(reaction.content());
        }
        List<ThreadMessage> all = messages.inThread(me.accountId(), id).stream()
                .map(message -> message(message, reactions.getOrDefault(message.messageId(), List.of())))
                .toList();
        ThreadLines lines = lines(me);
        return new ThreadDetail(lines.of(thread, messages.threadingInThread(me.accountId(), id)), all, lines.now());
    }

    private ThreadLines lines(SignedIn me) {
        UUID owner = me.accountId();
        return new ThreadLines(
                Set.copyOf(sources.addresses(owner)),
                sources.allRooms(owner).stream()
                        .collect(Collectors.toMap(ChatRoom::roomId, Function.identity(), (a, b) -> a)),
                workingTimes.of(owner),
                clock.instant());
    }

    private static ThreadMessage message(StoredMessage message, List<String> reactions) {
        OwnWords words = OwnWords.of(message.body(), message.from().name());
        return new ThreadMessage(
                message.id(),
                message.direction(),
                message.nature(),
                message.from().shown(),
                message.sentAt(),
                words.own().isEmpty() ? message.body() : words.own(),
                !words.own().isEmpty() && !words.carried().isEmpty(),
                message.files().list().stream().map(file -> file.name()).toList(),
                reactions,
                message.edited(),
                message.removed());
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
