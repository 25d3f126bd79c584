package org.squallnote.server.promise;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Party;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.HoldingReply;
import org.squallnote.core.turn.Promised;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.day.DayLoads;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;

/** What I have promised and not done yet. */
@Component
public class Promises {

    /** More are not kept in mind. */
    private static final int MOST = 300;

    private final ThreadStore threads;
    private final MessageStore messages;
    private final WorkingTimes workingTimes;
    private final DayLoads loads;
    private final Clock clock;

    Promises(ThreadStore threads, MessageStore messages, WorkingTimes workingTimes, DayLoads loads, Clock clock) {
        this.threads = threads;
        this.messages = messages;
        this.workingTimes = workingTimes;
        this.loads = loads;
        this.clock = clock;
    }

    /**
     * A promise that is open.
     *
     * @param followUps how many open follow-ups there are in its thread
     */
    public record Open(StoredThread thread, Debt debt, Promised promise, Party to, int followUps) {}

    /** All that is open, what is to be kept first first. */
    public List<Open> open(SignedIn me) {
        UUID owner = me.accountId();
        List<StoredThread> found = threads.promised(owner, MOST);
        if (found.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = found.stream().map(StoredThread::id).toList();
        Map<UUID, Integer> followUps = new HashMap<>();
        threads.followUps(owner, ids).forEach(each -> followUps.put(each.threadId(), each.open()));
        Map<String, Party> names = new HashMap<>();
        messages.threadingInThreads(owner, ids).stream()
                .filter(row -> !row.fromName().isEmpty())
                .forEach(row -> names.putIfAbsent(row.fromAddress(), new Party(row.fromName(), row.fromAddress())));
        return found.stream()
                .flatMap(thread -> thread.debts().list().stream()
                        .flatMap(debt -> debt.promise().stream()
                                .map(promise -> new Open(
                                        thread,
                                        debt,
                                        promise,
                                        debt.to().name().isEmpty()
                                                ? names.getOrDefault(debt.to().address(), debt.to())
                                                : debt.to(),
                                        followUps.getOrDefault(thread.id(), 0)))))
                .sorted(Comparator.comparing(
                                (Open open) -> open.debt().by().orElse(StoredThread.UNDATED.atStartOfDay()))
                        .thenComparing(open -> open.promise().at()))
                .toList();
    }

    /** How many are to be kept today or are broken already. */
    public int pressing(SignedIn me) {
        return threads.countPromised(me.accountId(), LocalDate.ofInstant(clock.instant(), me.zoneId()));
    }

    /** The next working day after today that has room. */
    LocalDate dayWithRoom(SignedIn me) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        LocalDate next = workingTime.addWorkingDays(LocalDate.ofInstant(clock.instant(), workingTime.zone()), 1);
        return loads.roomFrom(me, next).orElse(next);
    }

    /** What is said to whom it was promised, before they have to ask. */
    String holdingReply(SignedIn me, Open open, LocalDate newDay) {
        return HoldingReply.draft(givenName(open.to()), open.promise(), newDay, me.zoneId(), me.name());
    }

    private static String givenName(Party to) {
        return to.name().isEmpty() ? "" : to.shortName();
    }

    Instant now() {
        return clock.instant();
    }
}
