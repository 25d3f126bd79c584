package org.squallnote.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;

/**
 * Everything that planning looks at.
 *
 * @param open all open follow-ups
 * @param plans what is planned for them, of days that are over too
 * @param spent how long was worked at each, in minutes
 * @param prepared the meetings of the next hours that follow-ups prepare
 * @param fromThreads why the threads of follow-ups want them done today
 * @param last the last day that is looked at
 */
public record Horizon(
        Instant now,
        FreeTime freeTime,
        List<FollowUp> open,
        Map<UUID, Planned> plans,
        Map<UUID, Integer> spent,
        Map<UUID, Meeting> prepared,
        Map<UUID, ThreadReason> fromThreads,
        LocalDate last) {

    /** The day it is. */
    public LocalDate today() {
        return LocalDate.ofInstant(now, workingTime().zone());
    }

    LocalDateTime local() {
        return LocalDateTime.ofInstant(now, workingTime().zone());
    }

    WorkingTime workingTime() {
        return freeTime.workingTime();
    }

    Optional<Planned> plan(FollowUp followUp) {
        return Optional.ofNullable(plans.get(followUp.id()));
    }

    /** How long was worked at one, in minutes. */
    public int spentMinutes(FollowUp followUp) {
        return spent.getOrDefault(followUp.id(), 0);
    }

    Work work(FollowUp followUp) {
        return Work.of(followUp, plan(followUp), spentMinutes(followUp), today());
    }

    /** How much of each is left to do, in minutes. */
    Map<UUID, Integer> minutesLeft() {
        return open.stream()
                .collect(Collectors.toMap(FollowUp::id, each -> Work.minutesLeft(each, spentMinutes(each))));
    }

    List<Room> rooms() {
        return Room.of(freeTime, today(), last, now);
    }
}
