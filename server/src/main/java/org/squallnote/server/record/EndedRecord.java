package org.squallnote.server.record;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
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
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.people.Identities;
import org.squallnote.core.record.EndedBy;
import org.squallnote.core.record.EndedOrigin;
import org.squallnote.core.record.RecordFilter;
import org.squallnote.core.record.RecordNote;
import org.squallnote.core.record.Stamps;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.record.RecordStore;

/** Reads what has ended, page by page. */
@Component
class EndedRecord {

    /** So many pages are looked through for those that were on time or not, before the rest is left to the next. */
    private static final int MOST_LOOKED_AT = 20;

    private static final UUID LAST = new UUID(-1L, -1L);

    private final RecordStore store;
    private final PlanStore plans;
    private final PeopleStore people;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    EndedRecord(RecordStore store, PlanStore plans, PeopleStore people, WorkingTimes workingTimes, Clock clock) {
        this.store = store;
        this.plans = plans;
        this.people = people;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * Something that ended.
     *
     * @param spentMinutes how long was worked on it, where that was measured
     * @param endedBy a person, or what ended it by itself; empty where nothing is known of it
     * @param from who asked; empty where it came from no message
     * @param note what was noted of it afterwards
     */
    record EndedLine(
            UUID id,
            String title,
            FollowUpState state,
            @Nullable UUID categoryId,
            @Nullable LocalDate replyDay,
            Stamps stamps,
            long spentMinutes,
            String endedBy,
            String from,
            String fromAddress,
            @Nullable UUID messageId,
            @Nullable UUID threadId,
            String note) {}

    /** All addresses of the person of one of them. */
    List<String> addresses(SignedIn me, String address) {
        return Identities.of(people.addresses(me.accountId())).addresses(address);
    }

    /** Where the next page begins. */
    record Next(Instant before, UUID beforeId) {}

    /** @param next null where this was the last */
    record RecordPage(List<EndedLine> lines, @Nullable Next next) {}

    RecordPage page(SignedIn me, RecordFilter filter, @Nullable Boolean onTime, @Nullable Next from, int most) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        List<EndedLine> lines = new ArrayList<>();
        Next at = from == null ? new Next(clock.instant().plusSeconds(1), LAST) : from;
        for (int i = 0; i < MOST_LOOKED_AT && lines.size() < most; i++) {
            List<FollowUp> some = store.ended(
                    me.accountId(),
                    filter.fromInclusive(),
                    filter.toExclusive(),
                    filter.categoryId(),
                    filter.state(),
                    filter.addresses(),
                    at.before(),
                    at.beforeId(),
                    most + 1);
            List<EndedLine> those = lines(me.accountId(), some.subList(0, Math.min(most, some.size())), workingTime);
            for (EndedLine line : those) {
                if (lines.size() < most) {
                    if (onTime == null || onTime.equals(line.stamps().onTime())) {
                        lines.add(line);
                    }
                    at = new Next(line.stamps().endedAt(), line.id());
                }
            }
            if (some.size() <= most
                    && (those.isEmpty()
                            || at.beforeId().equals(those.get(those.size() - 1).id()))) {
                return new RecordPage(lines, null);
            }
        }
        return new RecordPage(lines, at);
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
                            each.id(),
                            each.title(),
                            each.state(),
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
                            notes.getOrDefault(each.id(), ""));
                })
                .toList();
    }
}
