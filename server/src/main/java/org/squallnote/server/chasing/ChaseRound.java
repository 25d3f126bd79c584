package org.squallnote.server.chasing;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
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
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.ChasePolicy;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.chase.ChaseDates;
import org.squallnote.server.chase.KeptChaseWishes;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Those who are to be reminded today, each with all that they owe and a draft. */
@Component
class ChaseRound {

    /** More are not gone through in one round. */
    private static final int MOST = 300;

    /** By then an answer is wanted, in working days. */
    private static final int TIME_TO_ANSWER = 2;

    private final ChaseStore store;
    private final MessageStore messages;
    private final SourceStore sources;
    private final ChaseDates dates;
    private final KeptChaseWishes wishes;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    ChaseRound(
            ChaseStore store,
            MessageStore messages,
            SourceStore sources,
            ChaseDates dates,
            KeptChaseWishes wishes,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.messages = messages;
        this.sources = sources;
        this.dates = dates;
        this.wishes = wishes;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Something that somebody owes in a thread. */
    record Open(StoredThread thread, Awaited awaited, ChaseDate date) {}

    /**
     * Somebody who is to be reminded, in one letter.
     *
     * @param others people of the same organisation who have written in these threads
     */
    record Due(Party party, Channel channel, List<Open> open, Optional<UsualTime> usual, List<Party> others) {

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
        ChasePolicy policy = dates.policy(owner);
        Map<String, List<Open>> byPerson = new LinkedHashMap<>();
        Map<String, Optional<UsualTime>> usual = new LinkedHashMap<>();
        for (StoredThread thread : store.due(owner, today, MOST)) {
            for (Awaited one : thread.awaited().list()) {
                String address = one.party().address();
                Optional<UsualTime> their =
                        usual.computeIfAbsent(address, any -> dates.usual(owner, address, workingTime));
                ChaseDate date = dates.of(one, policy, their, Optional.ofNullable(thread.chaseHand()), workingTime);
                if (date.isDue(today) && !onTheirWay.contains(thread.id() + " " + address)) {
                    // In a room everybody reads it, so that each thread there has a letter of its own.
                    String letter = thread.channel() == Channel.MAIL ? address : thread.id() + " " + address;
                    byPerson.computeIfAbsent(letter, any -> new ArrayList<>()).add(new Open(thread, one, date));
                }
            }
        }
        return byPerson.values().stream().map(open -> due(owner, open, usual)).toList();
    }

    private Due due(UUID owner, List<Open> open, Map<String, Optional<UsualTime>> usual) {
        Awaited first = open.get(0).awaited();
        List<ThreadingRow> rows = messages.threadingInThreads(
                owner, open.stream().map(each -> each.thread().id()).distinct().toList());
        Party party = named(first.party(), rows);
        return new Due(
                party,
                open.get(0).thread().channel(),
                open,
                usual.getOrDefault(party.address(), Optional.empty()),
                others(owner, party, rows));
    }

    /** With the name by which they write, where the ask knew only an address. */
    private static Party named(Party party, List<ThreadingRow> rows) {
        if (!party.name().isEmpty()) {
            return party;
        }
        return rows.stream()
                .filter(row -> row.fromAddress().equals(party.address())
                        && !row.fromName().isEmpty())
                .map(row -> new Party(row.fromName(), row.fromAddress()))
                .findFirst()
                .orElse(party);
    }

    private List<Party> others(UUID owner, Party party, List<ThreadingRow> rows) {
        int at = party.address().indexOf('@');
        if (at <= 0) {
            return List.of();
        }
        String house = party.address().substring(at);
        Set<String> mine = Set.copyOf(sources.addresses(owner));
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
        return List.copyOf(new LinkedHashSet<>(found.values()));
    }

    /** The draft of a letter to somebody about some of what they owe. */
    String draft(SignedIn me, Due due, List<Open> about) {
        WorkingTime workingTime = workingTime(me);
        Instant now = clock.instant();
        LocalDate wantedBy = workingTime.addWorkingDays(
                LocalDateTime.ofInstant(now, workingTime.zone()).toLocalDate(), TIME_TO_ANSWER);
        List<Awaited> open = about.stream().map(Open::awaited).toList();
        String name = ChaseLetter.givenName(due.party().displayName());
        return due.channel() == Channel.CHAT
                ? ChaseLetter.inChat(due.party().displayName(), open, workingTime.zone())
                : ChaseLetter.draft(
                        wishes.of(me.accountId()).words(), name, open, wantedBy, workingTime.zone(), me.name());
    }

    /** Whether somebody is silent for longer than they usually are. */
    boolean isLaterThanUsual(Open open, Due due, WorkingTime workingTime) {
        return ChaseDate.isLaterThanUsual(open.awaited(), due.usual(), workingTime, clock.instant());
    }

    Instant now() {
        return clock.instant();
    }
}
