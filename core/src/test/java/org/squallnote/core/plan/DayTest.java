package org.squallnote.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.plan.Candidate.Why;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;

/** What comes up today and in which order. It is Wednesday 4 March 2026, ten o'clock. */
class DayTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 4);
    private static final LocalDateTime NOW = TODAY.atTime(10, 0);
    private static final Instant INSTANT = NOW.atZone(LONDON).toInstant();
    private static final WorkingTime OFFICE = WorkingTime.officeHours(LONDON);
    private static final DayOrder ORDER = new DayOrder(FreeTime.of(OFFICE, 20, List.of()), INSTANT);

    private static FollowUp followUp(String title, LocalDate day, boolean firm, Priority priority) {
        return FollowUp.made(
                UUID.nameUUIDFromBytes(title.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                new UUID(0, 1),
                new Content(title, day, null, firm, null, 30, priority, false, null),
                Optional.empty(),
                INSTANT.minus(Duration.ofDays(9)));
    }

    private static FollowUp followUp(String title, LocalDate day) {
        return followUp(title, day, false, Priority.NORMAL);
    }

    private static Optional<Why> why(FollowUp followUp, Planned plan) {
        return Candidate.of(followUp, Optional.ofNullable(plan), NOW, OFFICE).map(Candidate::why);
    }

    @Test
    void eachComesUpForItsStrongestReason() {
        assertThat(why(followUp("a", TODAY.minusDays(1), true, Priority.NORMAL), null))
                .contains(Why.LATE_FIRM);
        assertThat(why(followUp("a", TODAY.minusDays(1)), null)).contains(Why.LATE);
        assertThat(why(followUp("a", TODAY, true, Priority.NORMAL), null)).contains(Why.DUE_TODAY_FIRM);
        assertThat(why(followUp("a", TODAY), null)).contains(Why.DUE_TODAY);
        assertThat(why(followUp("a", TODAY.plusDays(1)), null)).contains(Why.DUE_NEXT_WORKING_DAY);
        assertThat(why(followUp("a", TODAY.plusDays(2)), null)).contains(Why.DUE_LATER);
        assertThat(why(followUp("a", null), null)).contains(Why.UNDATED);
        assertThat(why(followUp("a", null).startingOn(TODAY), null)).contains(Why.PUT_OFF_UNTIL_TODAY);
    }

    @Test
    void whatWasPlannedAndNotDoneComesUpAgain() {
        FollowUp later = followUp("a", TODAY.plusDays(9));
        assertThat(why(later, Planned.on(later.id(), TODAY.minusDays(1)))).contains(Why.LEFT_OVER);
        FollowUp late = followUp("a", TODAY.minusDays(2));
        assertThat(why(late, Planned.on(late.id(), TODAY.minusDays(1)))).contains(Why.LATE);
    }

    @Test
    void whatIsPlannedOrOutOfSightDoesNotComeUp() {
        FollowUp late = followUp("a", TODAY.minusDays(2));
        assertThat(why(late, Planned.on(late.id(), TODAY))).isEmpty();
        assertThat(why(late, Planned.on(late.id(), TODAY.plusDays(1)))).isEmpty();
        assertThat(why(late.startingOn(TODAY.plusDays(1)), null)).isEmpty();
    }

    @Test
    void firmAndOverdueComesFirstThenPriorityThenLeastLeeway() {
        FollowUp alarm = followUp("alarm", TODAY.minusDays(1), true, Priority.LOW);
        FollowUp high = followUp("high", TODAY.plusDays(7), false, Priority.HIGH);
        FollowUp soon = followUp("soon", TODAY);
        FollowUp later = followUp("later", TODAY.plusDays(1));
        FollowUp never = followUp("never", null);
        assertThat(ORDER.byRule(List.of(never, later, soon, high, alarm), Map.of()))
                .containsExactly(alarm, high, soon, later, never);
    }

    @Test
    void leewayIsFreeWorkingTimeLessTheWork() {
        FollowUp soon = followUp("soon", TODAY);
        assertThat(ORDER.leewayMinutes(soon.replyBy(), 30)).contains(7 * 60 - 30);
        assertThat(ORDER.leewayMinutes(soon.replyBy(TODAY, LocalTime.of(10, 20)).replyBy(), 30))
                .contains(-10);
        assertThat(ORDER.leewayMinutes(followUp("late", TODAY.minusDays(3)).replyBy(), 30))
                .contains(-30);
        assertThat(ORDER.leewayMinutes(Optional.empty(), 30)).isEmpty();
        int twoYears = ORDER.leewayMinutes(followUp("far", TODAY.plusYears(3)).replyBy(), 0)
                .orElseThrow();
        assertThat(ORDER.leewayMinutes(followUp("never", LocalDate.MAX).replyBy(), 0))
                .contains(twoYears);
    }

    @Test
    void whatWasPutInAPlaceByHandStandsThere() {
        FollowUp a = followUp("a", TODAY);
        FollowUp b = followUp("b", TODAY.plusDays(1));
        FollowUp c = followUp("c", TODAY.plusDays(2));
        FollowUp first = followUp("first", TODAY.plusDays(5));
        Map<UUID, Planned> plans = new HashMap<>();
        for (FollowUp each : List.of(a, b, c)) {
            plans.put(each.id(), Planned.on(each.id(), TODAY));
        }
        plans.put(c.id(), Planned.on(c.id(), TODAY).placed(Band.LATER, 0));
        plans.put(first.id(), Planned.on(first.id(), TODAY).placed(Band.NOW, null));
        assertThat(ORDER.ofDay(List.of(a, b, c, first), plans, Map.of())).containsExactly(first, c, a, b);
    }

    @Test
    void whatIsBegunAsksForWhatIsLeftOfIt() {
        FollowUp followUp = followUp("a", TODAY.minusDays(3), true, Priority.HIGH);
        Work work =
                Work.of(followUp, Optional.of(Planned.on(followUp.id(), TODAY).startingAt(LocalTime.NOON)), 20, TODAY);
        assertThat(work.minutes()).isEqualTo(10);
        assertThat(work.due()).contains(TODAY);
        assertThat(work.earliest()).isEqualTo(TODAY);
        assertThat(work.fixed()).isTrue();
        assertThat(Work.minutesLeft(followUp, 90)).isEqualTo(5);
        assertThat(Work.of(followUp, Optional.of(Planned.on(followUp.id(), TODAY.minusDays(1))), 0, TODAY)
                        .planned())
                .isEmpty();
    }

    @Test
    void aMeetingTakesTimeWhereItsCalendarAndItsOwnWordsSaySo() {
        Instant noon = TODAY.atTime(12, 0).atZone(LONDON).toInstant();
        Meeting meeting =
                new Meeting(UUID.randomUUID(), "u", "Crew", "Quay", noon, noon.plusSeconds(3600), false, false, true);
        assertThat(meeting.busy(CalendarUse.BUSY, 10))
                .hasValueSatisfying(busy -> assertThat(Duration.between(busy.fromInclusive(), busy.toExclusive()))
                        .isEqualTo(Duration.ofMinutes(80)));
        assertThat(meeting.busy(CalendarUse.SHOWN, 10)).isEmpty();
        assertThat(meeting.busy(CalendarUse.HIDDEN, 10)).isEmpty();
        Meeting free =
                new Meeting(UUID.randomUUID(), "u", "Crew", "", noon, noon.plusSeconds(3600), false, false, false);
        assertThat(free.busy(CalendarUse.BUSY, 10)).isEmpty();
        Meeting moment = new Meeting(UUID.randomUUID(), "u", "Tide", "", noon, noon, false, false, true);
        assertThat(moment.busy(CalendarUse.BUSY, 10)).isEmpty();
    }
}
