package org.squallnote.server.record;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.people.Identities;
import org.squallnote.core.record.Deadline;
import org.squallnote.core.record.EndedBy;
import org.squallnote.core.record.EndedOrigin;
import org.squallnote.core.record.RecordFilter;
import org.squallnote.core.record.RecordNote;
import org.squallnote.core.record.Stamps;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.record.RecordStore;

/** Reads what has ended, page by page. */
@Component
class EndedRecord {

    /** So many are looked through for those that were in time or not, before the rest is left to the next page. */
    private static final int MOST_LOOKED_AT = 2_000;

    /** Before all of one moment. */
    private static final UUID FIRST = new UUID(0, 0);

    private final RecordStore store;
    private final FollowUpStore followUps;
    private final PlanStore plans;
    private final PeopleStore people;
    private final ClosedThreads closedThreads;
    private final UndoneEndings undone;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    EndedRecord(
            RecordStore store,
            FollowUpStore followUps,
            PlanStore plans,
            PeopleStore people,
            ClosedThreads closedThreads,
            UndoneEndings undone,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.followUps = followUps;
        this.plans = plans;
        this.people = people;
        this.closedThreads = closedThreads;
        this.undone = undone;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** All addresses of the person of one of them. */
    List<String> addresses(SignedIn me, String address) {
        return Identities.of(people.addresses(me.accountId())).addresses(address);
    }

    /** Where the next page begins. */
    record Next(Instant before, UUID beforeId) {}

    /** @param next null where this was the last */
    record RecordPage(List<EndedLine> lines, @Nullable Next next) {}

    RecordPage page(
            SignedIn me,
            RecordFilter filter,
            EndedLine.@Nullable Kind kind,
            @Nullable Boolean onTime,
            @Nullable Next from,
            int most) {
        Next at = from == null ? new Next(clock.instant().plusSeconds(1), FIRST) : from;
        WorkingTime workingTime = workingTimes.of(me.accountId());
        // Threads have no date that they could keep, no category, and end in one way.
        boolean threads = onTime == null
                && filter.categoryId() == null
                && filter.state() == null
                && kind != EndedLine.Kind.FOLLOW_UP;
        RecordPage followUps = kind == EndedLine.Kind.THREAD
                ? new RecordPage(List.of(), null)
                : followUps(me, filter, onTime, at, most, workingTime);
        RecordPage page = threads
                ? together(followUps, closedThreads.lines(me.accountId(), filter, at, most + 1, workingTime), most)
                : followUps;
        boolean everything = threads && kind == null && filter.addresses().isEmpty();
        return everything ? withUndone(me.accountId(), filter, page, at) : page;
    }

    /** Both, the newest first, as far as the one reaches that ends first. */
    private static RecordPage together(RecordPage followUps, List<EndedLine> threads, int most) {
        List<EndedLine> all = new ArrayList<>(followUps.lines());
        all.addAll(threads);
        all.sort(EndedLine.NEWEST_FIRST);
        boolean more = all.size() > most || followUps.next() != null;
        List<EndedLine> shown = all.subList(0, Math.min(all.size(), most));
        if (!more) {
            return new RecordPage(shown, null);
        }
        EndedLine last = shown.get(shown.size() - 1);
        return new RecordPage(shown, new Next(last.stamps().endedAt(), last.id()));
    }

    /** With what was taken back between the ends of the page. */
    private RecordPage withUndone(UUID owner, RecordFilter filter, RecordPage page, Next from) {
        Instant end = page.next() == null ? Instant.EPOCH : page.next().before();
        List<EndedLine> all = new ArrayList<>(page.lines());
        all.addAll(undone.between(
                owner,
                Optional.ofNullable(filter.fromInclusive())
                        .filter(end::isBefore)
                        .orElse(end),
                Optional.ofNullable(filter.toExclusive())
                        .filter(from.before()::isAfter)
                        .orElse(from.before())));
        all.sort(EndedLine.NEWEST_FIRST);
        return new RecordPage(all, page.next());
    }

    private RecordPage followUps(
            SignedIn me, RecordFilter filter, @Nullable Boolean onTime, Next from, int most, WorkingTime workingTime) {
        if (onTime != null) {
            return inTimeOrNot(me.accountId(), filter, onTime, from, most, workingTime);
        }
        List<FollowUp> some = store.ended(
                me.accountId(),
                filter.fromInclusive(),
                filter.toExclusive(),
                filter.categoryId(),
                filter.state(),
                filter.addresses(),
                from.before(),
                from.beforeId(),
                most + 1);
        List<EndedLine> lines = lines(me.accountId(), some.subList(0, Math.min(most, some.size())), workingTime);
        EndedLine last = some.size() > most ? lines.get(lines.size() - 1) : null;
        return new RecordPage(
                lines, last == null ? null : new Next(last.stamps().endedAt(), last.id()));
    }

    /** Whether something was in time is worked out and not stored: of many as much is read as says it, of few all. */
    private RecordPage inTimeOrNot(
            UUID owner, RecordFilter filter, boolean onTime, Next from, int most, WorkingTime workingTime) {
        List<Deadline> some = store.deadlines(
                owner,
                filter.fromInclusive(),
                filter.toExclusive(),
                filter.categoryId(),
                filter.state(),
                filter.addresses(),
                from.before(),
                from.beforeId(),
                MOST_LOOKED_AT);
        List<UUID> ids = new ArrayList<>();
        Next at = null;
        for (Deadline each : some) {
            if (ids.size() == most) {
                break;
            }
            if (each.onTime(workingTime).filter(found -> found == onTime).isPresent()) {
                ids.add(each.id());
            }
            at = new Next(each.endedAt(), each.id());
        }
        boolean all = some.size() < MOST_LOOKED_AT
                && (at == null || at.beforeId().equals(some.get(some.size() - 1).id()));
        List<EndedLine> lines =
                new ArrayList<>(ids.isEmpty() ? List.of() : lines(owner, followUps.byIds(owner, ids), workingTime));
        lines.sort(EndedLine.NEWEST_FIRST);
        return new RecordPage(lines, all ? null : at);
    }

    private List<EndedLine> lines(UUID owner, List<FollowUp> followUps, WorkingTime workingTime) {
        if (followUps.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = followUps.stream().map(FollowUp::id).toList();
        Map<UUID, EndedOrigin> origins = new HashMap<>();
        store.origins(owner, ids).forEach(each -> origins.putIfAbsent(each.followUpId(), each));
        Map<UUID, String> actors =
                store.endedBy(owner, ids).stream().collect(Collectors.toMap(EndedBy::followUpId, EndedBy::actor));
        Map<UUID, String> notes =
                store.notes(owner, ids).stream().collect(Collectors.toMap(RecordNote::followUpId, RecordNote::note));
        Map<UUID, Long> spent = new HashMap<>();
        plans.stintsOf(owner, ids)
                .forEach(stint -> Optional.ofNullable(stint.endedAt())
                        .ifPresent(end -> spent.merge(
                                stint.followUpId(),
                                Duration.between(stint.startedAt(), end).toMinutes(),
                                Long::sum)));
        return followUps.stream()
                .map(each -> {
                    EndedOrigin origin = origins.get(each.id());
                    return new EndedLine(
                            EndedLine.Kind.FOLLOW_UP,
                            each.id(),
                            each.title(),
                            each.state(),
                            null,
                            each.categoryId(),
                            each.replyDay(),
                            Stamps.of(
                                    each,
                                    origin == null ? null : origin.sentAt(),
                                    origin == null ? null : origin.answeredAt(),
                                    workingTime),
                            spent.getOrDefault(each.id(), 0L),
                            actors.getOrDefault(each.id(), ""),
                            origin == null
                                    ? ""
                                    : origin.fromName().isEmpty() ? origin.fromAddress() : origin.fromName(),
                            origin == null ? "" : origin.fromAddress(),
                            origin == null ? null : origin.messageId(),
                            origin == null ? null : origin.threadId(),
                            notes.getOrDefault(each.id(), ""),
                            null);
                })
                .toList();
    }
}
