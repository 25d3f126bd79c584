package org.squallnote.server.chase;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseDate;
import org.squallnote.core.chase.ChasePolicy;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.chase.ChaseStore;

/** When those awaited are to be reminded, by what is known of them. */
@Component
public class ChaseDates {

    private final ChaseStore store;
    private final KeptChaseWishes wishes;
    private final WorkingTimes workingTimes;

    ChaseDates(ChaseStore store, KeptChaseWishes wishes, WorkingTimes workingTimes) {
        this.store = store;
        this.wishes = wishes;
        this.workingTimes = workingTimes;
    }

    /** Notes who has answered what in a thread, in place of what was noted of it. */
    public void noteAnswers(UUID owner, UUID threadId, List<Answered> answered) {
        Map<String, Answered> first = new LinkedHashMap<>();
        answered.stream()
                .filter(one -> one.party().length() <= LONGEST_ADDRESS)
                .sorted(Comparator.comparing(Answered::answeredAt)
                        .thenComparing(Answered::ask)
                        .thenComparing(Answered::party))
                .forEach(one -> first.putIfAbsent(one.ask() + " " + one.party(), one));
        List<Answered> distinct = List.copyOf(first.values());
        if (distinct.equals(store.answersInThread(owner, threadId))) {
            return;
        }
        store.deleteAnswers(owner, threadId);
        distinct.forEach(one -> store.insertAnswer(owner, threadId, one));
    }

    private static final int LONGEST_ADDRESS = 320;

    /** How long those who are awaited in some threads usually take, by address, where that is known. */
    public Map<String, UsualTime> usual(UUID owner, Collection<StoredThread> threads, WorkingTime workingTime) {
        return usual(
                owner,
                threads.stream()
                        .flatMap(thread -> thread.awaited().list().stream())
                        .toList(),
                workingTime);
    }

    private Map<String, UsualTime> usual(UUID owner, List<Awaited> awaited, WorkingTime workingTime) {
        Set<String> parties = awaited.stream().map(one -> one.party().address()).collect(Collectors.toSet());
        if (parties.isEmpty()) {
            return Map.of();
        }
        Map<String, UsualTime> usual = new HashMap<>();
        store.lastAnswers(owner, parties, UsualTime.LAST).stream()
                .collect(Collectors.groupingBy(Answered::party))
                .forEach((party, answers) ->
                        UsualTime.of(answers, workingTime).ifPresent(time -> usual.put(party, time)));
        return usual;
    }

    /** After how many days an account reminds others. */
    public ChasePolicy policy(UUID owner) {
        return wishes.of(owner).policy();
    }

    /** Works out again when others are to be reminded, in all threads; within the change of the policy. */
    @EventListener
    void workOutAgain(KeptChaseWishes.PolicyChanged change) {
        UUID owner = change.owner();
        List<StoredThread> threads = store.chased(owner);
        WorkingTime workingTime = workingTimes.of(owner);
        ChasePolicy policy = policy(owner);
        Map<String, UsualTime> usual = usual(owner, threads, workingTime);
        for (StoredThread thread : threads) {
            ChaseDate.first(
                            thread.awaited().list(),
                            policy,
                            usual,
                            Optional.ofNullable(thread.chaseHand()),
                            workingTime)
                    .ifPresent(day -> store.setChaseOn(owner, thread.id(), day));
        }
    }

    /** When the first of some is to be reminded; absent where nobody is awaited. */
    public Optional<LocalDate> first(UUID owner, List<Awaited> awaited, Optional<LocalDate> byHand) {
        if (awaited.isEmpty()) {
            return Optional.empty();
        }
        WorkingTime workingTime = workingTimes.of(owner);
        return ChaseDate.first(awaited, policy(owner), usual(owner, awaited, workingTime), byHand, workingTime);
    }
}
