package org.squallnote.server.plan;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.plan.Ahead;
import org.squallnote.core.plan.Feasibility;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.MeetingView;
import org.squallnote.server.followup.FollowUpLine;

/** The working days ahead: load against room, and until when what was promised fits. */
@RestController
class AheadController {

    private final DayBook book;

    AheadController(DayBook book) {
        this.book = book;
    }

    /**
     * The days.
     *
     * @param shelf what has no day
     * @param workMinutes what weighs on them together
     * @param roomMinutes what they hold together
     * @param fitsUntil the last day by whose end all that is due can be done, absent where that is not even today
     * @param shortFrom the first day by whose end it cannot, absent where all fits
     * @param shortMinutes how much is too much at the worst
     * @param moves what to move so that no day holds too much
     * @param stuck the days that hold too much even then
     */
    record AheadView(
            List<DayAhead> days,
            List<FollowUpLine> shelf,
            int workMinutes,
            int roomMinutes,
            @Nullable LocalDate fitsUntil,
            @Nullable LocalDate shortFrom,
            int shortMinutes,
            List<MoveView> moves,
            List<StuckView> stuck) {}

    /**
     * A day.
     *
     * @param off why no work is done, empty on a working day
     * @param freeMinutes what meetings leave of its hours
     */
    record DayAhead(
            LocalDate day,
            String off,
            int freeMinutes,
            int roomMinutes,
            int plannedMinutes,
            int overMinutes,
            List<MeetingView> meetings,
            List<AheadEntry> entries) {}

    record AheadEntry(FollowUpLine line, int minutes, boolean due, boolean planned, boolean fits) {}

    record StuckView(LocalDate day, int minutes) {}

    @GetMapping("/api/ahead")
    AheadView ahead(@CurrentAccount SignedIn me, @RequestParam(defaultValue = "10") @Min(1) @Max(60) int days) {
        DayBook.Opened opened = book.open(me, days);
        Ahead ahead = Ahead.of(opened.horizon());
        Map<UUID, FollowUp> byId =
                opened.horizon().open().stream().collect(Collectors.toMap(FollowUp::id, Function.identity()));
        return new AheadView(
                ahead.days().stream().map(day -> view(me, opened, day)).toList(),
                ahead.shelf().stream().map(opened::line).toList(),
                ahead.workMinutes(),
                ahead.days().stream().mapToInt(day -> day.glass().roomMinutes()).sum(),
                ahead.feasibility().fitsUntil().orElse(null),
                ahead.feasibility().firstShort().map(Feasibility.Shortfall::day).orElse(null),
                ahead.feasibility().mostShortMinutes(),
                MoveView.of(ahead.fitting().moves(), byId),
                ahead.fitting().over().entrySet().stream()
                        .map(over -> new StuckView(over.getKey(), over.getValue()))
                        .toList());
    }

    private static DayAhead view(SignedIn me, DayBook.Opened opened, Ahead.Day day) {
        return new DayAhead(
                day.day(),
                opened.workingTime().whyOff(day.day()).orElse(""),
                day.freeMinutes(),
                day.glass().roomMinutes(),
                day.glass().plannedMinutes(),
                day.glass().overMinutes(),
                MeetingView.on(day.day(), me.zoneId(), opened.meetings()),
                day.entries().stream()
                        .map(entry -> new AheadEntry(
                                opened.line(entry.followUp()),
                                entry.minutes(),
                                entry.due(),
                                entry.planned(),
                                entry.fits()))
                        .toList());
    }
}
