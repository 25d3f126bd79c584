package org.squallnote.server.followup;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.HereAndNow;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;

/** Finds what can be done where I am until the next meeting. */
@Component
class HereAndNowFinder {

    private final FollowUpList list;
    private final Calendars calendars;
    private final Clock clock;

    HereAndNowFinder(FollowUpList list, Calendars calendars, Clock clock) {
        this.list = list;
        this.calendars = calendars;
        this.clock = clock;
    }

    /**
     * What fits.
     *
     * @param minutes how long there is
     * @param until the meeting before which it is; empty where none is ahead today
     * @param places at which something is to be done
     */
    record Here(List<UUID> followUps, int minutes, String until, List<String> places) {}

    Here find(SignedIn me, String place, @Nullable Integer wanted) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        Calendars.Days days = calendars.days(me.accountId(), today, today);
        Optional<Meeting> next = HereAndNow.next(days.meetings(), now);
        int minutes = wanted != null
                ? wanted
                : HereAndNow.minutesLeft(next, days.freeTime().workingTime(), now);
        List<FollowUp> open = list.open(me).inSight();
        return new Here(
                new HereAndNow(place, minutes)
                        .among(open, today).stream().map(FollowUp::id).toList(),
                minutes,
                wanted == null ? next.map(Meeting::title).orElse("") : "",
                open.stream()
                        .map(FollowUp::place)
                        .filter(each -> !each.isBlank())
                        .distinct()
                        .sorted(String.CASE_INSENSITIVE_ORDER)
                        .toList());
    }
}
