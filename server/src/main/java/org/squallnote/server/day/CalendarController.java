package org.squallnote.server.day;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;

/** What a page needs to show moments and days as the account counts them, wherever the browser stands. */
@RestController
class CalendarController {

    private static final int DAYS_BACK = 40;
    private static final int DAYS_AHEAD = 400;

    private final WorkingTimes workingTimes;
    private final Clock clock;

    CalendarController(WorkingTimes workingTimes, Clock clock) {
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * The calendar of an account.
     *
     * @param now the application's clock, so that a browser whose clock is wrong shows the right day
     * @param monthFirst whether 3/4 is March 4
     * @param minutesOfADay the usual length of a working day
     * @param off days without work on weekdays that usually have some, with the reason
     */
    record CalendarView(
            Instant now,
            String zone,
            boolean monthFirst,
            List<DayOfWeek> workingDays,
            int minutesOfADay,
            List<DayOffView> off) {}

    record DayOffView(LocalDate day, String reason) {}

    @GetMapping("/api/calendar")
    CalendarView calendar(@CurrentAccount SignedIn me) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, workingTime.zone());
        List<DayOfWeek> weekdays = workingTime.workingWeekdays();
        List<DayOffView> off = Stream.iterate(today.minusDays(DAYS_BACK), day -> day.plusDays(1))
                .limit(DAYS_BACK + DAYS_AHEAD)
                .filter(day -> weekdays.contains(day.getDayOfWeek()))
                .flatMap(day -> workingTime.whyOff(day).stream().map(reason -> new DayOffView(day, reason)))
                .toList();
        return new CalendarView(
                now,
                workingTime.zone().getId(),
                workingTimes.settings(me.accountId()).monthFirst(),
                weekdays,
                workingTime.minutesOfADay(),
                off);
    }
}
