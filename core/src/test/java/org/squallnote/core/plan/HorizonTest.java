package org.squallnote.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;

/** Today and the days ahead as a whole. It is Friday 6 March 2026, nine o'clock; a day has 384 minutes to promise. */
class HorizonTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDate FRIDAY = LocalDate.of(2026, 3, 6);
    private static final LocalDate SATURDAY = FRIDAY.plusDays(1);
    private static final LocalDate MONDAY = FRIDAY.plusDays(3);
    private static final Instant NINE = FRIDAY.atTime(9, 0).atZone(LONDON).toInstant();

    private final Map<UUID, Planned> plans = new HashMap<>();
    private final Map<UUID, Integer> spent = new HashMap<>();

    private static FollowUp followUp(String title, LocalDate due, int minutes) {
        return FollowUp.made(
                UUID.nameUUIDFromBytes(title.getBytes(StandardCharsets.UTF_8)),
                new UUID(0, 1),
                new Content(title, due, null, false, null, minutes, Priority.NORMAL, false, null),
                Optional.empty(),
                NINE.minus(Duration.ofDays(1)));
    }

    private FollowUp planned(String title, LocalDate due, int minutes, LocalDate day) {
        FollowUp followUp = followUp(title, due, minutes);
        plans.put(followUp.id(), Planned.on(followUp.id(), day));
        return followUp;
    }

    private final Map<UUID, Meeting> prepared = new HashMap<>();
    private final Map<UUID, ThreadReason> fromThreads = new HashMap<>();

    private Horizon horizon(FollowUp... open) {
        FreeTime free = FreeTime.of(WorkingTime.officeHours(LONDON), 20, List.of());
        return new Horizon(NINE, free, List.of(open), plans, spent, prepared, fromThreads, FRIDAY.plusDays(10));
    }

    private static Meeting meeting(String title, Instant from) {
        return new Meeting(
                UUID.randomUUID(), title, title, "", from, from.plus(Duration.ofHours(1)), false, false, true);
    }

    @Test
    void theMorningsPlanSaysWhatTheDayHolds() {
        FollowUp first = planned("Write the plan", null, 90, FRIDAY);
        FollowUp late = followUp("Call the surveyor", FRIDAY.minusDays(1), 20);
        FollowUp later = followUp("Order cleats", null, 15);
        Horizon horizon = horizon(first, late, later);
        List<Meeting> meetings = List.of(
                meeting("Crane", NINE.plus(Duration.ofHours(1))), meeting("Tomorrow", NINE.plus(Duration.ofDays(1))));
        assertThat(MorningPlan.of(Today.of(horizon), meetings, horizon))
                .isEqualTo(String.join(
                        "\n",
                        "Friday 6 March: 6 h 24 free, 1 h 30 planned.",
                        "",
                        "Meetings",
                        "  10:00–11:00  Crane",
                        "",
                        "Planned",
                        "  Write the plan (1 h 30)",
                        "",
                        "Not planned, and due or left over",
                        "  Call the surveyor (20 min)",
                        "",
                        "1 more could be done today."));
    }

    @Test
    void whatNamesAMeetingOfTheNextHoursPreparesIt() {
        FollowUp figures = followUp("Get the figures ready for the Harbour meeting", null, 30);
        FollowUp late = followUp("Harbour meeting: send the list", FRIDAY.minusDays(3), 30);
        FollowUp other = followUp("Call the harbour office", null, 30);
        List<FollowUp> open = List.of(figures, late, other);
        WorkingTime office = WorkingTime.officeHours(LONDON);
        Instant monday = NINE.plus(Duration.ofDays(3));
        prepared.putAll(Preparations.of(
                open, List.of(meeting("Harbour meeting", monday), meeting("Crew", monday)), office, NINE));
        assertThat(prepared.keySet()).containsExactlyInAnyOrder(figures.id(), late.id());
        assertThat(Today.of(horizon(figures, late, other)).candidates())
                .extracting(Candidate::why)
                .containsExactly(Candidate.Why.LATE, Candidate.Why.PREPARES_MEETING, Candidate.Why.UNDATED);
        assertThat(Preparations.of(
                        open, List.of(meeting("Harbour meeting", NINE.plus(Duration.ofDays(4)))), office, NINE))
                .as("on the day after the next working day")
                .isEmpty();
        assertThat(Preparations.of(open, List.of(meeting("Harbour meeting", NINE)), office, NINE))
                .as("begun already")
                .isEmpty();
    }

    @Test
    void aThreadGivesAReasonUnlessSomethingPressesMore() {
        FollowUp late = followUp("Late", FRIDAY.minusDays(3), 20);
        FollowUp promised = followUp("Promised", FRIDAY.plusDays(9), 20);
        FollowUp toRemind = followUp("To remind", null, 20);
        for (FollowUp each : List.of(late, promised)) {
            fromThreads.put(each.id(), new ThreadReason(Candidate.Why.PROMISED, FRIDAY, "Tilda"));
        }
        fromThreads.put(toRemind.id(), new ThreadReason(Candidate.Why.CHASE_DUE, FRIDAY, "Bob"));
        Today today = Today.of(horizon(late, promised, toRemind));
        assertThat(today.candidates())
                .extracting(Candidate::why)
                .containsExactly(Candidate.Why.LATE, Candidate.Why.PROMISED, Candidate.Why.CHASE_DUE);
        assertThat(today.pressing()).isEqualTo(3);
    }

    @Test
    void todayHoldsWhatIsPlannedForItAndAsksAboutTheRest() {
        FollowUp mine = planned("Mine", MONDAY, 300, FRIDAY);
        FollowUp large = planned("Large", MONDAY, 200, FRIDAY);
        FollowUp due = followUp("Due", FRIDAY, 500);
        spent.put(mine.id(), 100);
        Today today = Today.of(horizon(mine, large, due));
        assertThat(today.entries()).extracting(Today.Entry::minutesLeft).containsExactly(200, 200);
        assertThat(today.entries()).extracting(Today.Entry::fits).containsExactly(true, false);
        assertThat(today.glass().overMinutes()).isEqualTo(16);
        assertThat(today.glass().leftMinutes()).isZero();
        assertThat(today.candidates()).extracting(Candidate::followUp).containsExactly(due);
        assertThat(today.pressing()).isEqualTo(1);
        assertThat(today.moves())
                .singleElement()
                .satisfies(move -> assertThat(move.to()).isEqualTo(MONDAY));
        assertThat(today.stuckMinutes()).isZero();
    }

    @Test
    void aheadShowsWorkingDaysAndOthersOnlyWhereSomethingWeighsOnThem() {
        FollowUp onSaturday = followUp("On Saturday", SATURDAY, 30);
        FollowUp late = followUp("Late", FRIDAY.minusDays(3), 20);
        FollowUp shelved = followUp("Shelved", null, 20);
        FollowUp later = followUp("Later", null, 20).startingOn(MONDAY);
        FollowUp beyond = followUp("Beyond", FRIDAY.plusDays(60), 20);
        Ahead ahead = Ahead.of(horizon(onSaturday, late, shelved, later, beyond));
        assertThat(ahead.days())
                .extracting(Ahead.Day::day)
                .startsWith(FRIDAY, SATURDAY, MONDAY)
                .hasSize(8);
        assertThat(ahead.days().get(0).entries()).singleElement().satisfies(entry -> {
            assertThat(entry.followUp()).isEqualTo(late);
            assertThat(entry.due()).isTrue();
            assertThat(entry.planned()).isFalse();
        });
        assertThat(ahead.days().get(1).glass().overMinutes()).isEqualTo(30);
        assertThat(ahead.shelf()).containsExactly(shelved);
        assertThat(ahead.workMinutes()).isEqualTo(50);
        assertThat(ahead.fitting().moves())
                .singleElement()
                .satisfies(move -> assertThat(move.to()).isEqualTo(FRIDAY));
    }

    @Test
    void aDateThatNobodyLivesToSeeIsNoTrouble() {
        FollowUp never = followUp("Never", LocalDate.MAX, 20);
        assertThat(Ahead.of(horizon(never)).workMinutes()).isZero();
        assertThat(Today.of(horizon(never)).candidates()).hasSize(1);
    }

    @Test
    void whatIsPlannedWeighsOnThatDayAndNotOnTheOneItIsDue() {
        FollowUp early = planned("Early", MONDAY, 60, FRIDAY);
        Ahead ahead = Ahead.of(horizon(early));
        assertThat(ahead.days().get(0).entries()).singleElement().satisfies(entry -> {
            assertThat(entry.planned()).isTrue();
            assertThat(entry.due()).isFalse();
            assertThat(entry.fits()).isTrue();
        });
        assertThat(ahead.days().get(1).entries()).isEmpty();
        assertThat(ahead.feasibility().firstShort()).isEmpty();
    }
}
