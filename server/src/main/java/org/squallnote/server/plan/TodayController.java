package org.squallnote.server.plan;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.plan.Band;
import org.squallnote.core.plan.Candidate;
import org.squallnote.core.plan.Horizon;
import org.squallnote.core.plan.Stint;
import org.squallnote.core.plan.ThreadReason;
import org.squallnote.core.plan.Today;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.MeetingView;
import org.squallnote.server.followup.FollowUpLine;
import org.squallnote.server.promise.Promises;

/** The day: what is planned, what else could be done, and whether it fits. */
@RestController
class TodayController {

    /** So far ahead room is looked for, in working days. */
    private static final int DAYS = 10;

    private final DayBook book;
    private final Promises promises;

    TodayController(DayBook book, Promises promises) {
        this.promises = promises;
        this.book = book;
    }

    /**
     * The day.
     *
     * @param nextDay the working day after it
     * @param from when work begins, absent on a day off
     * @param off why no work is done, empty on a working day
     * @param freeMinutes what meetings leave of the hours still ahead
     * @param roomMinutes the same less what is kept for the unforeseen
     * @param overMinutes how much is planned beyond that
     * @param spentMinutes how long was worked at follow-ups today
     * @param done what was planned for today and has ended
     * @param pressing how many of the candidates would be missed if nothing were said of them
     * @param moves what would make it fit
     * @param stuckMinutes how much would be too much even then
     * @param toBeChased in how many threads somebody is to be reminded
     * @param promisesPressing in how many threads I have promised something that is to be kept today or broken already
     */
    record TodayView(
            LocalDate day,
            LocalDate nextDay,
            @Nullable LocalTime from,
            @Nullable LocalTime to,
            String off,
            int freeMinutes,
            int roomMinutes,
            int plannedMinutes,
            int overMinutes,
            int spentMinutes,
            List<MeetingView> meetings,
            List<EntryView> entries,
            List<FollowUpLine> done,
            List<CandidateView> candidates,
            int pressing,
            List<MoveView> moves,
            int stuckMinutes,
            int toBeChased,
            int promisesPressing) {}

    /**
     * Something planned.
     *
     * @param byHand whether it was put into its place by hand
     * @param at when it begins, where it has a time of its own
     * @param blockMinutes how long that is, where it is not as long as what is left
     */
    record EntryView(
            FollowUpLine line,
            Band band,
            boolean byHand,
            @Nullable LocalTime at,
            @Nullable Integer blockMinutes,
            int minutesLeft,
            int minutesSpent,
            boolean fits,
            boolean underWay) {}

    /**
     * Something that could be done.
     *
     * @param meeting which it prepares
     * @param who to whom it was promised, or who is to be reminded
     */
    record CandidateView(
            FollowUpLine line,
            Candidate.Why why,
            @Nullable LocalDate day,
            @Nullable String meeting,
            @Nullable String who,
            int minutes) {}

    @GetMapping("/api/today")
    TodayView today(@CurrentAccount SignedIn me) {
        DayBook.Opened opened = book.open(me, DAYS);
        Horizon horizon = opened.horizon();
        Today today = Today.of(horizon);
        LocalDate day = horizon.today();
        WorkingTime workingTime = opened.workingTime();
        Optional<WorkingTime.Hours> hours = workingTime.hoursOn(day);
        Optional<Stint> running = opened.stints().stream()
                .filter(stint -> stint.endedAt() == null)
                .findFirst();
        Map<UUID, FollowUp> byId = horizon.open().stream().collect(Collectors.toMap(FollowUp::id, Function.identity()));
        return new TodayView(
                day,
                workingTime.addWorkingDays(day, 1),
                hours.map(WorkingTime.Hours::fromInclusive).orElse(null),
                hours.map(WorkingTime.Hours::toExclusive).orElse(null),
                workingTime.whyOff(day).orElse(""),
                horizon.freeTime().freeMinutes(day, horizon.now()),
                today.glass().roomMinutes(),
                today.glass().plannedMinutes(),
                today.glass().overMinutes(),
                opened.spentSince(day.atStartOfDay(me.zoneId()).toInstant()),
                MeetingView.on(day, me.zoneId(), opened.meetings()),
                today.entries().stream()
                        .map(entry -> new EntryView(
                                opened.line(entry.followUp()),
                                entry.planned().band(),
                                entry.planned().rank() != null,
                                entry.planned().at(),
                                entry.planned().minutes(),
                                entry.minutesLeft(),
                                horizon.spentMinutes(entry.followUp()),
                                entry.fits(),
                                running.filter(stint -> stint.followUpId()
                                                .equals(entry.followUp().id()))
                                        .isPresent()))
                        .toList(),
                book.endedToday(me, opened).stream().map(opened::line).toList(),
                today.candidates().stream()
                        .map(candidate -> new CandidateView(
                                opened.line(candidate.followUp()),
                                candidate.why(),
                                candidate.day().orElse(null),
                                Optional.ofNullable(horizon.prepared()
                                                .get(candidate.followUp().id()))
                                        .map(Meeting::title)
                                        .orElse(null),
                                Optional.ofNullable(horizon.fromThreads()
                                                .get(candidate.followUp().id()))
                                        .map(ThreadReason::who)
                                        .orElse(null),
                                candidate.followUp().expectedMinutes()))
                        .toList(),
                today.pressing(),
                MoveView.of(today.moves(), byId),
                today.stuckMinutes(),
                book.toBeChased(me, day),
                promises.pressing(me));
    }
}
