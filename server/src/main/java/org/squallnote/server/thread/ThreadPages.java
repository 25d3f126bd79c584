package org.squallnote.server.thread;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.chase.ChaseDates;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers threads with what their rows and pages show. */
@Component
class ThreadPages {

    private static final int PAGE = 100;

    private final ThreadStore store;
    private final MessageStore messages;
    private final SourceStore sources;
    private final ChaseStore chases;
    private final ChaseDates chaseDates;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ThreadPages(
            ThreadStore store,
            MessageStore messages,
            SourceStore sources,
            ChaseStore chases,
            ChaseDates chaseDates,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.messages = messages;
        this.sources = sources;
        this.chases = chases;
        this.chaseDates = chaseDates;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Some threads, and whether there are more. */
    record Page(List<ThreadLine> lines, boolean more) {}

    /** How many threads there are with each. */
    Map<Turn, Integer> counts(UUID owner) {
        Map<Turn, Integer> counts = new EnumMap<>(Turn.class);
        for (Turn each : Turn.values()) {
            counts.put(each, 0);
        }
        store.counts(owner).forEach(one -> counts.put(one.turn(), one.threads()));
        return counts;
    }

    Page page(UUID owner, Turn turn, int offset, Instant now) {
        List<StoredThread> found = store.byTurn(owner, turn, Math.max(offset, 0), PAGE + 1);
        List<StoredThread> shown = found.subList(0, Math.min(PAGE, found.size()));
        Map<UUID, List<ThreadingRow>> rows = new HashMap<>();
        if (!shown.isEmpty()) {
            messages.threadingInThreads(
                            owner, shown.stream().map(StoredThread::id).toList())
                    .forEach(row -> rows.computeIfAbsent(row.threadId(), id -> new ArrayList<>())
                            .add(row));
        }
        ThreadLines lines = lines(owner, shown, now);
        List<ThreadLine> all = shown.stream()
                .map(thread -> lines.of(thread, rows.getOrDefault(thread.id(), List.of())))
                .toList();
        return new Page(all, found.size() > PAGE);
    }

    /** What all rows of one answer share. */
    private ThreadLines lines(UUID owner, List<StoredThread> shown, Instant now) {
        WorkingTime workingTime = workingTimes.of(owner);
        return new ThreadLines(
                Set.copyOf(sources.addresses(owner)),
                sources.allRooms(owner).stream()
                        .collect(Collectors.toMap(ChatRoom::roomId, Function.identity(), (a, b) -> a)),
                workingTime,
                chaseDates.policy(owner),
                chaseDates.usual(owner, shown, workingTime),
                now);
    }

    /** In how many threads somebody is to be reminded. */
    int countDue(UUID owner, Instant now) {
        return chases.countDue(
                owner, LocalDate.ofInstant(now, workingTimes.of(owner).zone()));
    }

    ThreadLine line(StoredThread thread, Instant now) {
        return lines(thread.owner(), List.of(thread), now)
                .of(thread, messages.threadingInThread(thread.owner(), thread.id()));
    }

    /** The moment of an answer. */
    Instant now() {
        return clock.instant();
    }

    /** The messages of a thread in sent order. */
    List<StoredMessage> messages(StoredThread thread) {
        return messages.inThread(thread.owner(), thread.id());
    }

    /**
     * A sign on a message.
     *
     * @param by the names of those who put it there
     * @param mine whether I am one of them
     */
    record Sign(String sign, List<String> by, boolean mine) {}

    /** What was answered by a sign alone, by the event that it answers. */
    Map<String, List<Sign>> reactions(StoredThread thread, List<StoredMessage> all) {
        Map<String, Map<String, List<Reaction>>> bySign = new LinkedHashMap<>();
        for (Reaction reaction : messages.reactionsInThread(thread.owner(), thread.id())) {
            bySign.computeIfAbsent(reaction.target(), target -> new LinkedHashMap<>())
                    .computeIfAbsent(reaction.content(), sign -> new ArrayList<>())
                    .add(reaction);
        }
        if (bySign.isEmpty()) {
            return Map.of();
        }
        Set<String> mine = sources.of(thread.owner()).stream()
                .map(source -> source.address().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        Map<String, String> names = namesInRoom(thread.owner(), all);
        Map<String, List<Sign>> signs = new HashMap<>();
        bySign.forEach((target, given) -> signs.put(
                target,
                given.entrySet().stream()
                        .map(each -> sign(each.getKey(), each.getValue(), mine, names))
                        .toList()));
        return signs;
    }

    private static Sign sign(String shown, List<Reaction> given, Set<String> mine, Map<String, String> names) {
        Set<String> senders = given.stream()
                .map(reaction -> reaction.sender().toLowerCase(Locale.ROOT))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        List<String> by = senders.stream()
                .map(sender -> mine.contains(sender) ? "me" : names.getOrDefault(sender, sender))
                .toList();
        return new Sign(shown, by, senders.stream().anyMatch(mine::contains));
    }

    private Map<String, String> namesInRoom(UUID owner, List<StoredMessage> all) {
        return all.stream()
                .map(StoredMessage::roomId)
                .filter(Objects::nonNull)
                .findFirst()
                .flatMap(room -> sources.room(owner, room))
                .map(room -> room.members().list().stream()
                        .collect(Collectors.toMap(Party::address, Party::displayName, (first, second) -> first)))
                .orElse(Map.of());
    }
}
