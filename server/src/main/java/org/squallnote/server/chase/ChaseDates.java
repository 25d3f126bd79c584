package org.squallnote.server.chase;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** When those awaited are to be reminded, by what is known of them. */
@Component
public class ChaseDates {

    private final ChaseStore store;
    private final PreferenceStore preferences;
    private final WorkingTimes workingTimes;
    private final JsonMapper json;

    ChaseDates(ChaseStore store, PreferenceStore preferences, WorkingTimes workingTimes, JsonMapper json) {
        this.store = store;
        this.preferences = preferences;
        this.workingTimes = workingTimes;
        this.json = json;
    }

    /** Notes who has answered what in a thread, in place of what was noted of it. */
    public void noteAnswers(UUID owner, UUID threadId, List<Answered> answered) {
        List<Answered> distinct = answered.stream()
                .filter(one -> one.party().length() <= LONGEST_ADDRESS)
                .sorted(Comparator.comparing(Answered::answeredAt)
                        .thenComparing(Answered::ask)
                        .thenComparing(Answered::party))
                .toList();
        if (distinct.equals(store.answersInThread(owner, threadId))) {
            return;
        }
        store.deleteAnswers(owner, threadId);
        for (int i = 0; i < distinct.size(); i++) {
            Answered one = distinct.get(i);
            boolean again = distinct.subList(0, i).stream()
                    .anyMatch(other ->
                            other.ask().equals(one.ask()) && other.party().equals(one.party()));
            if (!again) {
                store.insertAnswer(owner, threadId, one);
            }
        }
    }

    private static final int LONGEST_ADDRESS = 320;

    /** How long somebody usually takes, once that is known. */
    public Optional<UsualTime> usual(UUID owner, String party, WorkingTime workingTime) {
        return UsualTime.of(store.answers(owner, party, UsualTime.LAST), workingTime);
    }

    /** After how many days an account reminds others. */
    public ChasePolicy policy(UUID owner) {
        return KeptChaseWishes.of(preferences, owner, json).policy();
    }

    /** Works out again when others are to be reminded, in all threads. */
    void workOutAgain(UUID owner) {
        for (StoredThread thread : store.chased(owner)) {
            first(owner, thread.awaited().list(), Optional.ofNullable(thread.chaseHand()))
                    .ifPresent(day -> store.setChaseOn(owner, thread.id(), day));
        }
    }

    /** When somebody is to be reminded. */
    public ChaseDate of(
            Awaited one,
            ChasePolicy policy,
            Optional<UsualTime> usual,
            Optional<LocalDate> byHand,
            WorkingTime workingTime) {
        return ChaseDate.of(one, policy, usual, byHand, workingTime);
    }

    /** When the first of some is to be reminded; absent where nobody is awaited. */
    public Optional<LocalDate> first(UUID owner, List<Awaited> awaited, Optional<LocalDate> byHand) {
        if (awaited.isEmpty()) {
            return Optional.empty();
        }
        WorkingTime workingTime = workingTimes.of(owner);
        ChasePolicy policy = policy(owner);
        return awaited.stream()
                .map(one -> of(one, policy, usual(owner, one.party().address(), workingTime), byHand, workingTime)
                        .day())
                .min(Comparator.naturalOrder());
    }
}
