package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.Debt;

/**
 * Why the thread of a follow-up wants it done today.
 *
 * @param why {@link Candidate.Why#PROMISED} or {@link Candidate.Why#CHASE_DUE}
 * @param day for which it was promised, or on which a reminder was to go
 * @param who to whom it was promised, or who is to be reminded; empty where they have no name
 */
public record ThreadReason(Candidate.Why why, LocalDate day, String who) {

    /**
     * The reasons by follow-up; a promise comes before a reminder.
     *
     * @param origins which follow-up came from which thread; of one that came from several, the first with a reason
     */
    public static Map<UUID, ThreadReason> of(
            Collection<FollowUpOrigin> origins, Collection<StoredThread> threads, LocalDate today) {
        Map<UUID, StoredThread> byId = threads.stream()
                .collect(Collectors.toMap(StoredThread::id, Function.identity(), (first, next) -> first));
        Map<UUID, ThreadReason> reasons = new HashMap<>();
        for (FollowUpOrigin origin : origins) {
            Optional.ofNullable(byId.get(origin.threadId()))
                    .flatMap(thread -> of(thread, today))
                    .ifPresent(reason -> reasons.putIfAbsent(origin.followUpId(), reason));
        }
        return reasons;
    }

    private static Optional<ThreadReason> of(StoredThread thread, LocalDate today) {
        return promised(thread.debts().list(), today)
                .or(() -> Optional.ofNullable(thread.chaseOn())
                        .filter(day -> !day.isAfter(today) && !StoredThread.UNDATED.equals(day))
                        .map(day -> new ThreadReason(
                                Candidate.Why.CHASE_DUE,
                                day,
                                thread.awaited().list().stream()
                                        .findFirst()
                                        .map(each -> each.party().shortName())
                                        .orElse(""))));
    }

    private static Optional<ThreadReason> promised(List<Debt> debts, LocalDate today) {
        return debts.stream()
                .filter(debt -> debt.promise().isPresent())
                .flatMap(debt -> debt.by().stream()
                        .map(by -> new ThreadReason(
                                Candidate.Why.PROMISED,
                                by.toLocalDate(),
                                debt.to().shortName())))
                .filter(reason -> !reason.day().isAfter(today))
                .min(Comparator.comparing(ThreadReason::day));
    }
}
