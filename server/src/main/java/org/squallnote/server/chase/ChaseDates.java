package org.squallnote.server.chase;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
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
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.thread.OpenBetween;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.thread.ThreadStore;

/** When those awaited are to be reminded, by what is known of them. */
@Component
public class ChaseDates {

    private final ChaseStore store;
    private final ThreadStore threads;
    private final FollowUpStore followUps;
    private final KeptChaseWishes wishes;
    private final WorkingTimes workingTimes;

    ChaseDates(
            ChaseStore store,
            ThreadStore threads,
            FollowUpStore followUps,
            KeptChaseWishes wishes,
            WorkingTimes workingTimes) {
        this.store = store;
        this.threads = threads;
        this.followUps = followUps;
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

    /** When and with which words an account reminds others. */
    public ChaseWishes wishes(UUID owner) {
        return wishes.of(owner);
    }

    /** The categories of some threads, where the days depend on them; nothing is asked of the store where they do not. */
    public Map<UUID, UUID> categories(UUID owner, Collection<UUID> threadIds) {
        if (threadIds.isEmpty() || !wishes.of(owner).asksForCategories()) {
            return Map.of();
        }
        Map<UUID, UUID> categories = new HashMap<>();
        threads.followUps(owner, threadIds).stream()
                .filter(each -> each.categoryId() != null)
                .forEach(each -> categories.put(each.threadId(), each.categoryId()));
        return categories;
    }

    /** Works out again when others are to be reminded, in all threads; within the change of the policy. */
    @EventListener
    void workOutAgain(KeptChaseWishes.PolicyChanged change) {
        workOut(change.owner(), store.chased(change.owner()));
    }

    /** A follow-up may give its threads another category; within the change that does. */
    @EventListener
    void workOutAgain(FollowUpChanged change) {
        UUID owner = change.owner();
        if (wishes.of(owner).asksForCategories()) {
            Set<UUID> ids = followUps.originsOf(owner, change.followUpId()).stream()
                    .map(FollowUpOrigin::threadId)
                    .collect(Collectors.toSet());
            workOut(
                    owner,
                    ids.isEmpty()
                            ? List.of()
                            : threads.byIds(owner, ids).stream()
                                    .filter(thread -> thread.chaseOn() != null)
                                    .toList());
        }
    }

    private void workOut(UUID owner, List<StoredThread> all) {
        if (all.isEmpty()) {
            return;
        }
        WorkingTime workingTime = workingTimes.of(owner);
        Map<String, UsualTime> usual = usual(owner, all, workingTime);
        Map<UUID, UUID> categories =
                categories(owner, all.stream().map(StoredThread::id).toList());
        for (StoredThread thread : all) {
            Days days = new Days(
                    wishes.of(owner),
                    Optional.ofNullable(categories.get(thread.id())),
                    usual,
                    Optional.ofNullable(thread.chaseHand()),
                    workingTime);
            days.first(thread.awaited().list()).ifPresent(day -> store.setChaseOn(owner, thread.id(), day));
            keep(
                    owner,
                    thread.id(),
                    OpenBetween.in(
                            thread.id(),
                            thread.debts().list(),
                            thread.awaited().list(),
                            one -> days.of(one).day(),
                            Map.of()));
        }
    }

    /**
     * What decides on which days those awaited in a thread are to be reminded.
     *
     * @param category of the thread, where the days depend on it
     * @param usual how long people usually take, by address, where that is known
     * @param byHand the day that was chosen for the thread
     */
    public record Days(
            ChaseWishes wishes,
            Optional<UUID> category,
            Map<String, UsualTime> usual,
            Optional<LocalDate> byHand,
            WorkingTime workingTime) {

        /** When somebody is to be reminded. */
        public ChaseDate of(Awaited one) {
            String address = one.party().address();
            return ChaseDate.of(
                    one,
                    wishes.ruleFor(address, category).policy(),
                    Optional.ofNullable(usual.get(address)),
                    byHand,
                    workingTime);
        }

        /** When the first of some is; absent where nobody is awaited. */
        public Optional<LocalDate> first(List<Awaited> awaited) {
            return awaited.stream().map(one -> of(one).day()).min(Comparator.naturalOrder());
        }
    }

    /** What decides in one thread. */
    public Days days(UUID owner, UUID threadId, List<Awaited> awaited, Optional<LocalDate> byHand) {
        WorkingTime workingTime = workingTimes.of(owner);
        return new Days(
                wishes.of(owner),
                awaited.isEmpty()
                        ? Optional.empty()
                        : Optional.ofNullable(
                                categories(owner, List.of(threadId)).get(threadId)),
                usual(owner, awaited, workingTime),
                byHand,
                workingTime);
    }

    /** Notes what is open with each person in a thread, in place of what was noted of it; a name that is not known anew stays. */
    public void keep(UUID owner, UUID threadId, List<OpenBetween> now) {
        List<OpenBetween> before = threads.openBetween(owner, threadId);
        Map<String, String> names = new HashMap<>();
        before.forEach(one -> names.put(one.party(), one.name()));
        List<OpenBetween> named = now.stream()
                .map(one ->
                        one.name().equals(one.party()) ? one.named(names.getOrDefault(one.party(), one.name())) : one)
                .toList();
        Set<OpenBetween> stays = new HashSet<>(before);
        stays.retainAll(Set.copyOf(named));
        before.stream().filter(one -> !stays.contains(one)).forEach(one -> threads.deleteOpenBetween(owner, one));
        List<OpenBetween> added =
                named.stream().filter(one -> !stays.contains(one)).toList();
        if (!added.isEmpty()) {
            threads.insertOpenBetween(owner, added);
        }
    }

    /** A thread is gone, since all of its messages belong to another one now; so do the reminders about it. */
    public void gone(UUID owner, UUID threadId, UUID other) {
        threads.deleteAllOpenBetween(owner, threadId);
        store.deleteAnswers(owner, threadId);
        store.moveChases(owner, threadId, other);
    }
}
