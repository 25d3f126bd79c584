package org.squallnote.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FreeTimeTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDate TUESDAY = LocalDate.parse("2026-03-10");
    private static final WorkingTime OFFICE = WorkingTime.officeHours(LONDON);

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    private static Busy busy(String from, String to) {
        return new Busy(at(from), at(to));
    }

    @Test
    void meetingsTakeTheirTimeOnce() {
        FreeTime free = FreeTime.of(
                OFFICE,
                20,
                List.of(
                        busy("2026-03-10T10:00", "2026-03-10T11:30"),
                        busy("2026-03-10T11:00", "2026-03-10T12:00"),
                        busy("2026-03-10T16:30", "2026-03-10T19:00"),
                        busy("2026-03-09T08:00", "2026-03-09T08:30")));
        assertThat(free.freeMinutes(TUESDAY, at("2026-03-10T07:00"))).isEqualTo(480 - 120 - 30);
        assertThat(free.freeMinutes(TUESDAY, at("2026-03-10T15:30"))).isEqualTo(60);
        assertThat(free.freeMinutes(TUESDAY, at("2026-03-10T16:45"))).isZero();
        assertThat(free.roomMinutes(TUESDAY, at("2026-03-10T15:30"))).isEqualTo(48);
        assertThat(free.on(TUESDAY)).hasSize(2);
    }

    @Test
    void whatLastsOverMidnightTakesTimeOfBothDays() {
        FreeTime free = FreeTime.of(OFFICE, 0, List.of(busy("2026-03-10T16:00", "2026-03-11T10:00")));
        assertThat(free.freeMinutes(TUESDAY, Instant.EPOCH)).isEqualTo(420);
        assertThat(free.freeMinutes(TUESDAY.plusDays(1), Instant.EPOCH)).isEqualTo(420);
    }

    @Test
    void oneChangedMeetingIsAsIfItHadAlwaysBeenSo() {
        Random random = new Random(7);
        List<Busy> meetings = new ArrayList<>();
        FreeTime free = FreeTime.of(OFFICE, 20, meetings);
        for (int i = 0; i < 500; i++) {
            List<Busy> gone = meetings.isEmpty() || random.nextBoolean()
                    ? List.of()
                    : List.of(meetings.remove(random.nextInt(meetings.size())));
            Busy come = any(random, TUESDAY);
            meetings.add(come);
            free = free.changed(gone, List.of(come));
            FreeTime anew = FreeTime.of(OFFICE, 20, meetings);
            for (LocalDate day = TUESDAY; day.isBefore(TUESDAY.plusDays(9)); day = day.plusDays(1)) {
                assertThat(free.on(day)).isEqualTo(anew.on(day));
            }
        }
    }

    @Test
    void aChangeLeavesWhatItDoesNotTouch() {
        FreeTime free = FreeTime.of(OFFICE, 20, List.of());
        List<FreeTime.Stretch> thursday = free.on(TUESDAY.plusDays(2));
        FreeTime changed = free.changed(List.of(), List.of(busy("2026-03-10T09:00", "2026-03-10T10:00")));
        assertThat(changed.on(TUESDAY.plusDays(2))).isSameAs(thursday);
        assertThat(changed.freeMinutes(TUESDAY, Instant.EPOCH)).isEqualTo(420);
        assertThat(free.freeMinutes(TUESDAY, Instant.EPOCH)).isEqualTo(480);
    }

    /** Over clock changes, days off and overlapping meetings, for any span. */
    @Test
    void theFreeMinutesOfASpanAreThoseCountedOneByOne() {
        Random random = new Random(15);
        for (int run = 0; run < 200; run++) {
            LocalDate first = LocalDate.parse(random.nextBoolean() ? "2026-03-26" : "2026-10-22");
            WorkingTime workingTime = hours(random).withDaysOff(Set.of(first.plusDays(random.nextInt(6))));
            List<Busy> meetings = new ArrayList<>();
            for (int i = random.nextInt(12); i > 0; i--) {
                meetings.add(any(random, first));
            }
            Instant from = first.atStartOfDay(LONDON).toInstant().plus(random.nextInt(3000), ChronoUnit.MINUTES);
            Instant to = from.plus(random.nextInt(8000), ChronoUnit.MINUTES);
            FreeTime free = FreeTime.of(workingTime, 20, meetings);
            assertThat(free.between(from, to)).isEqualTo(oneByOne(workingTime, meetings, from, to));
        }
    }

    private static Duration oneByOne(WorkingTime workingTime, List<Busy> meetings, Instant from, Instant to) {
        int minutes = 0;
        for (Instant minute = from; minute.isBefore(to); minute = minute.plus(1, ChronoUnit.MINUTES)) {
            Instant at = minute;
            ZonedDateTime local = minute.atZone(LONDON);
            boolean worked = workingTime
                    .hoursOn(local.toLocalDate())
                    .filter(hours -> !at.isBefore(local.toLocalDate()
                                    .atTime(hours.fromInclusive())
                                    .atZone(LONDON)
                                    .toInstant())
                            && at.isBefore(local.toLocalDate()
                                    .atTime(hours.toExclusive())
                                    .atZone(LONDON)
                                    .toInstant()))
                    .isPresent();
            if (worked
                    && meetings.stream()
                            .noneMatch(each -> !at.isBefore(each.fromInclusive()) && at.isBefore(each.toExclusive()))) {
                minutes++;
            }
        }
        return Duration.ofMinutes(minutes);
    }

    private static WorkingTime hours(Random random) {
        Map<DayOfWeek, WorkingTime.Hours> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day == DayOfWeek.SUNDAY || random.nextInt(3) > 0) {
                int start = random.nextInt(9);
                week.put(
                        day,
                        new WorkingTime.Hours(
                                LocalTime.of(start, 30), LocalTime.of(start + 1 + random.nextInt(10), 0)));
            }
        }
        return WorkingTime.of(week, LONDON);
    }

    private static Busy any(Random random, LocalDate first) {
        Instant from = first.atStartOfDay(LONDON).toInstant().plus(random.nextInt(10_000), ChronoUnit.MINUTES);
        return new Busy(from, from.plus(1 + random.nextInt(random.nextInt(5) == 0 ? 3000 : 120), ChronoUnit.MINUTES));
    }

    @Test
    void aMarginThatLeavesNothingIsRefused() {
        assertThatThrownBy(() -> FreeTime.of(OFFICE, 91, List.of())).hasMessageContaining("91");
    }
}
