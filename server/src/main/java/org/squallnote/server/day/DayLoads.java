package org.squallnote.server.day;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.DayLoad;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.store.followup.FollowUpStore;

/** What open follow-ups make of a day. */
@Component
class DayLoads {

    private final FollowUpStore followUps;
    private final Calendars calendars;
    private final Clock clock;

    DayLoads(FollowUpStore followUps, Calendars calendars, Clock clock) {
        this.calendars = calendars;
        this.followUps = followUps;
        this.clock = clock;
    }

    DayLoad of(SignedIn me, LocalDate day) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        List<Integer> efforts = followUps.open(me.accountId()).stream()
                .filter(followUp -> followUp.isDueOn(day, today))
                .map(FollowUp::expectedMinutes)
                .toList();
        return DayLoad.of(day, efforts, calendars.days(me.accountId(), day, day).freeTime(), clock.instant());
    }
}
