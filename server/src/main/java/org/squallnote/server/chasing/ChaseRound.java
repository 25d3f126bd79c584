package org.squallnote.server.chasing;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseDate;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.source.DirectRoom;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.chase.ChaseDates;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Those who are to be reminded today, each with all that they owe and a draft. */
@Component
class ChaseRound {

    /** More are not gone through in one round. */
    private static final int MOST = 300;

    private final ChaseStore store;
    private final MessageStore messages;
    private final SourceStore sources;
    private final ChaseDates dates;
    private final ChatWays ways;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ChaseRound(
            ChaseStore store,
            MessageStore messages,
            SourceStore sources,
            ChaseDates dates,
            ChatWays ways,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.messages = messages;
        this.sources = sources;
        this.dates = dates;
        this.ways = ways;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Something that somebody owes in a thread. */
    record Open(StoredThread thread, Awaited awaited, ChaseDate date) {}

    /**
     * Somebody who is to be reminded, in one letter.
     *
     * @param others people of the same organisation who have written in these threads
     * @param room a room with them alone
     */
    record Due(
            Party party,
            Channel channel,
            List<Open> open,
            Optional<UsualTime> usual,
            List<Party> others,
            Optional<String> room) {

        /** How often they were reminded. */
        int chases() {
            return open.stream().mapToInt(each -> each.awaited().chases()).max().orElse(0);
        }
    }

    WorkingTime workingTime(SignedIn me) {
        return workingTimes.of(me.accountId());
    }

    /** Everybody who is due, whoever is due longest first; not those to whom a reminder is on its way. */
    List<Due> due(SignedIn me) {
        UUID owner = me.accountId();
        WorkingTime workingTime = workingTime(me);
        LocalDate today = LocalDate.ofInstant(clock.instant(), workingTime.zone());
        Set<String> onTheirWay = store.onTheirWay(owner).stream()
                .map(chase -> chase.threadId() + " " + chase.party())
                .collect(Collectors.toSet());
        ChaseWishes wishes = dates.wishes(owner);
        List<StoredThread> threads = store.due(owner, today, MOST);
        Map<UUID, UUID> categories =
                dates.categories(owner, threads.stream().map(StoredThread::id).toList());
        Map<String, UsualTime> usual = dates.usual(owner, threads, workingTime);
        Map<String, List<Open>> byPerson = new LinkedHashMap<>();
        for (StoredThread thread : threads) {
            ChaseDates.Days days = new ChaseDates.Days(
                    wishes,
                    Optional.ofNullable(categories.get(thread.id())),
                    usual,
                    Optional.ofNullable(thread.chaseHand()),
                    workingTime);
            for (Awaited one : thread.awaited().list()) {
                String address = one.party().address();
                ChaseDate date = days.of(one);
                if (date.isDue(today) && !onTheirWay.contains(thread.id() + " " + address)) {
                    // In a room everybody reads it, so that each thread there has a letter of its own.
                    String letter = thread.channel() == Channel.MAIL ? address : thread.id() + " " + address;
                    byPerson.computeIfAbsent(letter, any -> new ArrayList<>()).add(new Open(thread, one, date));
                }
            }
        }
        return named(owner, byPerson.values(), usual);
    }

    /** With names, and with others of the same organisation, as the messages of their threads have them. */
    private List<Due> named(UUID owner, Collection<List<Open>> letters, Map<String, UsualTime> usual) {
        Set<UUID> ids = letters.stream()
                .flatMap(open -> open.stream().map(each -> each.thread().id()))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<ThreadingRow>> rows = messages.threadingInThreads(owner, List.copyOf(ids)).stream()
                .collect(Collectors.groupingBy(ThreadingRow::threadId));
        Set<String> mine = Set.copyOf(sources.addresses(owner));
        List<DirectRoom> direct = ways.rooms(owner);
        return letters.stream()
                .map(open -> due(open, rows, mine, usual, direct))
                .toList();
    }

    private Due due(
            List<Open> open,
            Map<UUID, List<ThreadingRow>> rows,
            Set<String> mine,
            Map<String, UsualTime> usual,
            List<DirectRoom> direct) {
        List<ThreadingRow> theirs = open.stream()
                .map(each -> each.thread().id())
                .distinct()
                .flatMap(id -> rows.getOrDefault(id, List.of()).stream())
                .toList();
        Party party = ChaseDrafts.named(open.get(0).awaited().party(), theirs);
        return new Due(
                party,
                open.get(0).thread().channel(),
                open,
                Optional.ofNullable(usual.get(party.address())),
                others(party, theirs, mine),
                open.get(0).thread().channel() == Channel.CHAT
                        ? Optional.empty()
                        : ways.of(direct, party).stream()
                                .map(ChatWays.Way::roomId)
                                .findFirst());
    }

    private static List<Party> others(Party party, List<ThreadingRow> rows, Set<String> mine) {
        int at = party.address().indexOf('@');
        if (at <= 0) {
            return List.of();
        }
        String house = party.address().substring(at);
        Map<String, Party> found = new LinkedHashMap<>();
        for (ThreadingRow row : rows) {
            List<Party> all = new ArrayList<>(row.recipients().to());
            all.addAll(row.recipients().cc());
            all.add(new Party(row.fromName(), row.fromAddress()));
            all.stream()
                    .filter(one ->
                            one.address().endsWith(house) && !one.isSameAs(party) && !mine.contains(one.address()))
                    .forEach(one -> found.putIfAbsent(one.address(), one));
        }
        return List.copyOf(found.values());
    }

    /** Whether somebody is silent for longer than they usually are. */
    boolean isLaterThanUsual(Open open, Due due, WorkingTime workingTime) {
        return ChaseDate.isLaterThanUsual(open.awaited(), due.usual(), workingTime, clock.instant());
    }

    Instant now() {
        return clock.instant();
    }
}
