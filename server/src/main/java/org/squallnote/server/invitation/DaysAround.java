package org.squallnote.server.invitation;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.time.WorkingTime.Hours;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.calendar.MeetingView;

/** The day of a meeting: what else is on, what it would collide with, and what it would cost. */
@Component
class DaysAround {

    private final Calendars calendars;
    private final Clock clock;

    DaysAround(Calendars calendars, Clock clock) {
        this.calendars = calendars;
        this.clock = clock;
    }

    boolean isOver(Scheduling what) {
        return what.toExclusive().isBefore(clock.instant());
    }

    InvitationController.DayAround of(SignedIn me, Scheduling what) {
        LocalDate day = what.fromInclusive().atZone(me.zoneId()).toLocalDate();
        Calendars.Days days = calendars.days(me.accountId(), day, day, what.uid());
        Optional<Hours> hours = days.freeTime().workingTime().hoursOn(day);
        Instant midnight = day.plusDays(1).atStartOfDay(me.zoneId()).toInstant();
        Instant end = what.toExclusive().isAfter(midnight) ? midnight : what.toExclusive();
        List<Meeting> others = days.meetings();
        Set<UUID> takingTime = calendars.takingTime(me.accountId());
        return new InvitationController.DayAround(
                day,
                MeetingView.minute(what.fromInclusive(), day, me.zoneId()),
                MeetingView.minute(what.toExclusive(), day, me.zoneId()),
                hours.map(it -> minute(it.fromInclusive())).orElse(0),
                hours.map(it -> minute(it.toExclusive())).orElse(0),
                MeetingView.on(day, me.zoneId(), others),
                days.freeTime().freeMinutes(day, clock.instant()),
                (int) days.freeTime().between(what.fromInclusive(), end).toMinutes(),
                others.stream()
                        .filter(other -> other.opaque() && takingTime.contains(other.calendarId()))
                        .filter(other -> other.reaches(what.fromInclusive(), what.toExclusive()))
                        .map(Meeting::title)
                        .distinct()
                        .toList());
    }

    private static int minute(LocalTime time) {
        return time.toSecondOfDay() / 60;
    }
}
