package org.squallnote.server.day;

import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.time.DayLoad;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;

/** Reads a typed date, and says whether the day is a day off or already full. */
@RestController
class DayController {

    private final WorkingTimes workingTimes;
    private final Clock clock;
    private final DayLoads loads;

    DayController(WorkingTimes workingTimes, Clock clock, DayLoads loads) {
        this.loads = loads;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * A day.
     *
     * @param day absent when the words name none
     * @param off why nobody works then, empty on a working day
     * @param due how many open follow-ups are to be answered then; today those that are late too
     * @param dueMinutes their efforts together
     * @param freeMinutes what meetings leave of the day, less a margin for the unforeseen
     * @param roomOn where it is full, the next working day that is not
     */
    record DayView(
            @Nullable LocalDate day,
            @Nullable LocalTime time,
            String off,
            int due,
            int dueMinutes,
            int freeMinutes,
            boolean full,
            @Nullable LocalDate roomOn) {

        static final DayView NONE = new DayView(null, null, "", 0, 0, 0, false, null);
    }

    @GetMapping("/api/day")
    DayView read(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "") @Size(max = 80) String text,
            @RequestParam(required = false) @Nullable LocalDate day) {
        WorkingTime workingTime = workingTimes.of(me.accountId());
        if (day != null) {
            return view(me, day, null, workingTime);
        }
        Optional<DatePhrase> typed = TypedDate.read(text, workingTimes.typing(me.accountId(), clock.instant()));
        return typed.map(phrase -> view(me, phrase.day(), phrase.time().orElse(null), workingTime))
                .orElse(DayView.NONE);
    }

    private DayView view(SignedIn me, LocalDate day, @Nullable LocalTime time, WorkingTime workingTime) {
        DayLoads.Answer answer = loads.of(me, day);
        DayLoad load = answer.load();
        return new DayView(
                day,
                time,
                workingTime.whyOff(day).orElse(""),
                load.due(),
                load.dueMinutes(),
                load.freeMinutes(),
                load.full(),
                answer.roomOn().orElse(null));
    }
}
