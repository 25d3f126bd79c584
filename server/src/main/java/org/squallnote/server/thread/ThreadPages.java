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
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.Age;
import org.squallnote.core.thread.GroupedThread;
import org.squallnote.core.thread.MadeFollowUp;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadFollowUps;
import org.squallnote.core.thread.ThreadGrouping;
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
    private static final int MOST_CLOSABLE = 200;
    private static final int LONGEST_WORDS = 160;

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

    /** Some of the threads of a list, in groups where that is wanted. */
    Page page(UUID owner, Turn turn, ThreadGrouping by, int offset, Instant now) {
        int from = Math.max(offset, 0);
        List<Placed> found = switch (by) {
            case PERSON ->
                turn == Turn.WITH_ME || turn == Turn.WITH_OTHERS
                        ? placed(owner, store.byPerson(owner, turn == Turn.WITH_ME, from, PAGE + 1))
                        : plain(store.byTurn(owner, turn, from, PAGE + 1));
            case CATEGORY -> placed(owner, store.byCategory(owner, turn, from, PAGE + 1));
            case AGE -> byAge(owner, turn, from, now);
            case THREAD -> plain(store.byTurn(owner, turn, from, PAGE + 1));
        };
        List<Placed> shown = found.subList(0, Math.min(PAGE, found.size()));
        List<StoredThread> threads =
                shown.stream().map(Placed::thread).distinct().toList();
        Map<UUID, List<ThreadingRow>> rows = new HashMap<>();
        if (!threads.isEmpty()) {
            messages.threadingInThreads(
                            owner, threads.stream().map(StoredThread::id).toList())
                    .forEach(row -> rows.computeIfAbsent(row.threadId(), id -> new ArrayList<>())
                            .add(row));
        }
        ThreadLines lines = lines(
                owner, threads, rows.values().stream().flatMap(List::stream).toList(), now);
        List<ThreadLine> all = shown.stream()
                .map(one ->
                        lines.of(one.thread(), rows.getOrDefault(one.thread().id(), List.of()), one.group()))
                .toList();
        return new Page(all, found.size() > PAGE);
    }

    /** A thread where it stands in a list. */
    private record Placed(StoredThread thread, Optional<ThreadLine.Group> group) {}

    private static List<Placed> plain(List<StoredThread> threads) {
        return threads.stream()
                .map(thread -> new Placed(thread, Optional.empty()))
                .toList();
    }

    private List<Placed> placed(UUID owner, List<GroupedThread> grouped) {
        if (grouped.isEmpty()) {
            return List.of();
        }
        Map<UUID, StoredThread> byId =
                store.byIds(owner, grouped.stream().map(GroupedThread::threadId).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(StoredThread::id, Function.identity()));
        return grouped.stream()
                .flatMap(one -> Optional.ofNullable(byId.get(one.threadId())).stream()
                        .map(thread -> new Placed(
                                thread, Optional.of(new ThreadLine.Group(one.key(), one.title(), one.size())))))
                .toList();
    }

    private List<Placed> byAge(UUID owner, Turn turn, int offset, Instant now) {
        WorkingTime workingTime = workingTimes.of(owner);
        LocalDate today = LocalDate.ofInstant(now, workingTime.zone());
        List<StoredThread> threads = store.byAge(owner, turn, offset, PAGE + 1);
        Map<Age, Integer> sizes = new EnumMap<>(Age.class);
        int younger = counts(owner).getOrDefault(turn, 0);
        for (Age age : Age.values()) {
            int older = age.beginning(today, workingTime)
                    .map(begin -> store.countSoBefore(owner, turn, begin))
                    .orElse(0);
            sizes.put(age, younger - older);
            younger = older;
        }
        return threads.stream()
                .map(thread -> {
                    Age age = Age.of(
                            Optional.ofNullable(thread.since()).orElse(thread.lastMessageAt()), today, workingTime);
                    return new Placed(
                            thread,
                            Optional.of(new ThreadLine.Group(age.name(), age.title(), sizes.getOrDefault(age, 0))));
                })
                .toList();
    }

    private Map<UUID, ThreadFollowUps> made(UUID owner, List<ThreadingRow> rows) {
        List<UUID> decided = MadeFollowUp.decided(rows);
        return decided.isEmpty() ? Map.of() : MadeFollowUp.byThread(rows, store.made(owner, decided));
    }

    /** What all rows of one answer share. */
    private ThreadLines lines(UUID owner, List<StoredThread> shown, List<ThreadingRow> rows, Instant now) {
        WorkingTime workingTime = workingTimes.of(owner);
        return new ThreadLines(
                Set.copyOf(sources.addresses(owner)),
                sources.allRooms(owner).stream()
                        .collect(Collectors.toMap(ChatRoom::roomId, Function.identity(), (a, b) -> a)),
                workingTime,
                chaseDates.wishes(owner),
                made(owner, rows),
                chaseDates.usual(owner, shown, workingTime),
                now);
    }

    /**
     * A thread that may be closed.
     *
     * @param mine whether the last word is mine
     * @param words the last message in its writer's words, shortened
     */
    record Closable(ThreadLine line, boolean mine, String writer, String words) {}

    /** Threads in which nobody owes anything: those with a closing word, and those silent for some working days. */
    List<Closable> closable(UUID owner, int workingDays, Instant now) {
        WorkingTime workingTime = workingTimes.of(owner);
        LocalDate day = LocalDate.ofInstant(now, workingTime.zone());
        for (int i = 0; i < workingDays; i++) {
            day = workingTime.onOrBefore(day.minusDays(1));
        }
        Instant before = day.atStartOfDay(workingTime.zone()).toInstant();
        List<StoredThread> found = store.closable(owner, before, MOST_CLOSABLE);
        if (found.isEmpty()) {
            return List.of();
        }
        List<ThreadingRow> all = messages.threadingInThreads(
                owner, found.stream().map(StoredThread::id).toList());
        Map<UUID, List<ThreadingRow>> rowsOf = all.stream().collect(Collectors.groupingBy(ThreadingRow::threadId));
        ThreadLines lines = lines(owner, found, all, now);
        List<UUID> lastIds = rowsOf.values().stream()
                .map(rows -> rows.get(rows.size() - 1).id())
                .toList();
        Map<UUID, StoredMessage> lastOf = messages.byIds(owner, lastIds).stream()
                .collect(Collectors.toMap(StoredMessage::threadId, Function.identity()));
        return found.stream()
                .flatMap(thread -> Optional.ofNullable(lastOf.get(thread.id())).stream()
                        .map(last -> closable(
                                lines.of(thread, rowsOf.getOrDefault(thread.id(), List.of()), Optional.empty()), last)))
                .toList();
    }

    private static Closable closable(ThreadLine line, StoredMessage last) {
        String words = OwnWords.of(last.body(), last.from().name()).ownOrAll();
        return new Closable(
                line,
                last.direction() == Direction.OUTGOING,
                last.from().displayName(),
                Beginning.onOneLine(words, LONGEST_WORDS));
    }

    /** How many have a closing word. */
    int countClosed(UUID owner) {
        return store.countClosed(owner);
    }

    /** In how many threads I have promised something. */
    int countPromised(UUID owner) {
        return store.countPromised(owner, StoredThread.UNDATED);
    }

    /** In how many threads somebody is to be reminded. */
    int countDue(UUID owner, Instant now) {
        return chases.countDue(
                owner, LocalDate.ofInstant(now, workingTimes.of(owner).zone()));
    }

    ThreadLine line(StoredThread thread, Instant now) {
        List<ThreadingRow> rows = messages.threadingInThread(thread.owner(), thread.id());
        return lines(thread.owner(), List.of(thread), rows, now).of(thread, rows, Optional.empty());
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
