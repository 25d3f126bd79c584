package org.squallnote.server.day;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.DayLoad;
import org.squallnote.core.time.FreeTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.store.followup.FollowUpStore;

/** What open follow-ups make of a day. */
@Component
public class DayLoads {

    private final FollowUpStore followUps;
    private final Calendars calendars;
    private final Clock clock;

    DayLoads(FollowUpStore followUps, Calendars calendars, Clock clock) {
        this.calendars = calendars;
        this.followUps = followUps;
        this.clock = clock;
    }

    /** So far ahead a day with room is looked for. */
    private static final int LOOKED_AT = 30;

    /**
     * A day, and where there would be room if it has none.
     *
     * @param roomOn the next working day that is not full, absent where the day itself has room
     */
    record Answer(DayLoad load, Optional<LocalDate> roomOn) {}

    /** The first working day from one on that is not full; absent where all of them are that are looked at. */
    public Optional<LocalDate> roomFrom(SignedIn me, LocalDate day) {
        Answer answer = of(me, day);
        return answer.load().full() ? answer.roomOn() : Optional.of(day);
    }

    Answer of(SignedIn me, LocalDate day) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        List<FollowUp> open = followUps.open(me.accountId());
        Function<LocalDate, Collection<Integer>> efforts = on -> open.stream()
                .filter(followUp -> followUp.isDueOn(on, today))
                .map(FollowUp::expectedMinutes)
                .toList();
        FreeTime freeTime =
                calendars.days(me.accountId(), day, day.plusDays(LOOKED_AT)).freeTime();
        DayLoad load = DayLoad.of(day, efforts.apply(day), freeTime, now);
        return new Answer(
                load, load.full() ? DayLoad.firstWithRoom(day, LOOKED_AT, efforts, freeTime, now) : Optional.empty());
    }
}
