package org.squallnote.server.calendar;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.plan.Block;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.time.Busy;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.calendar.CalendarStore;
import tools.jackson.databind.json.JsonMapper;

/** The calendars of accounts, and what they leave of the days. */
@Component
public class Calendars extends KeptState<Calendars.Kept> {

    private final CalendarStore store;
    private final WorkingTimes workingTimes;
    private final MeetingTimes times;
    private final OwnerLocks locks;
    private final Commands commands;
    private final Clock clock;

    Calendars(
            CalendarStore store,
            WorkingTimes workingTimes,
            MeetingTimes times,
            OwnerLocks locks,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        super(SubjectType.CALENDAR, Kept.class, json);
        this.store = store;
        this.workingTimes = workingTimes;
        this.times = times;
        this.locks = locks;
        this.commands = commands;
        this.clock = clock;
    }

    /** What can be set of a calendar. */
    public record Kept(String name, CalendarUse counts) {}

    /**
     * Some days with what is on in them.
     *
     * @param meetings of calendars that are not hidden, whether they take time or not
     * @param busy the time that is taken
     */
    public record Days(FreeTime freeTime, List<Meeting> meetings, List<Busy> busy) {}

    /** The calendars whose meetings take time. */
    public Set<UUID> takingTime(UUID owner) {
        return store.of(owner).stream()
                .filter(calendar -> calendar.counts() == CalendarUse.BUSY)
                .map(Calendar::id)
                .collect(Collectors.toSet());
    }

    List<Calendar> all(SignedIn me) {
        return store.of(me.accountId());
    }

    /** When somebody works. */
    public WorkingTime workingTime(UUID owner) {
        return workingTimes.of(owner);
    }

    /** What the days from one to another leave of the working time. */
    public Days days(UUID owner, LocalDate first, LocalDate lastInclusive) {
        return days(owner, first, lastInclusive, "");
    }

    /**
     * The same as if there were no such event.
     *
     * @param withoutUid of the event, empty for none
     */
    public Days days(UUID owner, LocalDate first, LocalDate lastInclusive, String withoutUid) {
        AccountSettings settings = workingTimes.settings(owner);
        WorkingTime workingTime = workingTimes.of(owner);
        ZoneId zone = workingTime.zone();
        // What needs time around it may begin on the next day.
        Duration around = Duration.ofMinutes(settings.around());
        List<Meeting> meetings = meetings(
                        owner,
                        first.atStartOfDay(zone).toInstant().minus(around),
                        lastInclusive.plusDays(1).atStartOfDay(zone).toInstant().plus(around),
                        zone)
                .stream()
                .filter(meeting -> !meeting.uid().equals(withoutUid) && !Block.isUid(meeting.uid()))
                .toList();
        Map<UUID, CalendarUse> counts = new HashMap<>();
        store.of(owner).forEach(calendar -> counts.put(calendar.id(), calendar.counts()));
        List<Busy> busy = meetings.stream()
                .flatMap(meeting ->
                        meeting
                                .busy(counts.getOrDefault(meeting.calendarId(), CalendarUse.SHOWN), settings.around())
                                .stream())
                .toList();
        return new Days(FreeTime.of(workingTime, settings.margin(), busy), meetings, busy);
    }

    /** Works out again when all events take place. */
    public void workOutAgain(UUID owner) {
        ZoneId zone = workingTimes.of(owner).zone();
        Instant now = clock.instant();
        store.of(owner).forEach(calendar -> locks.write(owner, () -> times.workOut(calendar, zone, now)));
    }

    private List<Meeting> meetings(UUID owner, Instant from, Instant to, ZoneId zone) {
        Instant now = clock.instant();
        Set<Calendar> outdated = new HashSet<>();
        for (Calendar calendar : store.of(owner)) {
            if (!calendar.workedIn().equals(zone.getId()) || times.runsOut(calendar, now)) {
                outdated.add(calendar);
            }
        }
        if (!outdated.isEmpty()) {
            locks.write(owner, () -> outdated.forEach(calendar -> times.workOut(calendar, zone, now)));
        }
        return store.meetings(owner, from, to);
    }

    Done change(SignedIn me, UUID commandId, UUID id, int version, Kept wanted) {
        return commands.run(me, commandId, "calendar", changes -> {
            Calendar old = get(me.accountId(), id);
            if (old.version() != version) {
                throw new StaleVersionException(id);
            }
            change(me.accountId(), id, wanted, changes);
            changes.label(
                    switch (wanted.counts()) {
                        case BUSY -> wanted.name() + " takes time";
                        case SHOWN -> wanted.name() + " is only shown";
                        case HIDDEN -> wanted.name() + " is hidden";
                    });
        });
    }

    private Calendar get(UUID owner, UUID id) {
        return store.byId(owner, id).orElseThrow(() -> Refusal.notFound("calendar"));
    }

    @Override
    protected @Nullable Kept state(UUID owner, UUID id) {
        return store.byId(owner, id)
                .map(calendar -> new Kept(calendar.name(), calendar.counts()))
                .orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Kept state) {
        if (state != null) {
            store.byId(owner, id).ifPresent(calendar -> store.update(calendar.with(state.name(), state.counts())));
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.CALENDARS};
    }
}
