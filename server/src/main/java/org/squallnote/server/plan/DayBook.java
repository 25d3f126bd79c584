package org.squallnote.server.plan;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.plan.Horizon;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.plan.Preparations;
import org.squallnote.core.plan.Stint;
import org.squallnote.core.plan.ThreadReason;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.followup.FollowUpLine;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.repetition.SeriesStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers what planning needs to know. */
@Component
class DayBook {

    private final FollowUpStore followUps;
    private final PlanStore plans;
    private final SeriesStore series;
    private final ChaseStore chases;
    private final ThreadStore threads;
    private final Calendars calendars;
    private final Clock clock;

    DayBook(
            FollowUpStore followUps,
            PlanStore plans,
            SeriesStore series,
            ChaseStore chases,
            ThreadStore threads,
            Calendars calendars,
            Clock clock) {
        this.followUps = followUps;
        this.plans = plans;
        this.series = series;
        this.chases = chases;
        this.threads = threads;
        this.calendars = calendars;
        this.clock = clock;
    }

    /** In how many threads somebody is to be reminded on a day. */
    int toBeChased(SignedIn me, LocalDate day) {
        return chases.countDue(me.accountId(), day);
    }

    /**
     * The days ahead.
     *
     * @param meetings of these days
     * @param stints of today, and of all open follow-ups
     * @param repeating those that come back when they have ended
     */
    record Opened(
            Horizon horizon,
            List<Meeting> meetings,
            List<Stint> stints,
            Map<UUID, FollowUpOrigin> origins,
            Set<UUID> repeating) {

        LocalDate today() {
            return horizon.today();
        }

        WorkingTime workingTime() {
            return horizon.freeTime().workingTime();
        }

        /** How long was worked at follow-ups since a moment, in minutes. */
        int spentSince(Instant moment) {
            return stints.stream()
                    .map(stint -> stint.since(moment))
                    .mapToInt(stint -> stint.minutes(horizon.now()))
                    .sum();
        }

        FollowUpLine line(FollowUp followUp) {
            return FollowUpLine.of(
                    followUp,
                    Optional.ofNullable(origins.get(followUp.id())),
                    repeating.contains(followUp.id()),
                    workingTime(),
                    LocalDateTime.ofInstant(horizon.now(), workingTime().zone()));
        }
    }

    /** @param workingDays how many working days ahead, today with them */
    Opened open(SignedIn me, int workingDays) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        LocalDate last = last(me, today, workingDays);
        Calendars.Days days = calendars.days(me.accountId(), today, last);
        Map<UUID, Planned> planned = new HashMap<>();
        plans.ofOpen(me.accountId()).forEach(each -> planned.put(each.followUpId(), each));
        Instant midnight = today.atStartOfDay(me.zoneId()).toInstant();
        List<Stint> stints = plans.stints(me.accountId(), midnight);
        Map<UUID, Integer> spent = new HashMap<>();
        stints.forEach(stint -> spent.merge(stint.followUpId(), stint.minutes(now), Integer::sum));
        Map<UUID, FollowUpOrigin> origins = new HashMap<>();
        followUps.origins(me.accountId(), midnight).forEach(origin -> origins.putIfAbsent(origin.followUpId(), origin));
        List<FollowUp> open = followUps.open(me.accountId());
        Horizon horizon = new Horizon(
                now,
                days.freeTime(),
                open,
                planned,
                spent,
                Preparations.of(open, days.meetings(), days.freeTime().workingTime(), now),
                ThreadReason.of(origins.values(), threadsOf(me, origins.values()), today),
                last);
        return new Opened(horizon, days.meetings(), stints, origins, series.currents(me.accountId()));
    }

    /** The threads that open follow-ups came from. */
    private List<StoredThread> threadsOf(SignedIn me, Collection<FollowUpOrigin> origins) {
        Set<UUID> ids = origins.stream().map(FollowUpOrigin::threadId).collect(Collectors.toSet());
        return ids.isEmpty() ? List.of() : threads.byIds(me.accountId(), ids);
    }

    private LocalDate last(SignedIn me, LocalDate today, int workingDays) {
        WorkingTime workingTime = calendars.workingTime(me.accountId());
        LocalDate first = workingTime.onOrAfter(today);
        return workingDays <= 1 ? first : workingTime.addWorkingDays(first, workingDays - 1);
    }

    /** What was planned for today and has ended. */
    List<FollowUp> endedToday(SignedIn me, Opened book) {
        Map<UUID, Planned> today = plans.ofEnded(me.accountId(), book.today()).stream()
                .collect(Collectors.toMap(Planned::followUpId, each -> each));
        Instant midnight = book.today().atStartOfDay(me.zoneId()).toInstant();
        return followUps.endedSince(me.accountId(), midnight).stream()
                .filter(each -> today.containsKey(each.id()))
                .toList();
    }
}
