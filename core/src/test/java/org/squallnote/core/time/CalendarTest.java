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
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Holidays, days off, meetings and clock changes. */
class CalendarTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingTime OFFICE = WorkingTime.officeHours(LONDON);

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }

    @Test
    void holidaysOfARegionAreNoWorkingDays() {
        WorkingTime english = OFFICE.withHolidays(PublicHolidays.of("gb-eng"));
        LocalDate easterMonday = LocalDate.parse("2026-04-06");
        assertThat(english.isWorkingDay(easterMonday)).isFalse();
        assertThat(english.whyOff(easterMonday))
                .hasValueSatisfying(name -> assertThat(name).contains("Easter"));
        assertThat(english.addWorkingDays(LocalDate.parse("2026-04-02"), 1)).hasToString("2026-04-07");
        assertThat(english.between(at("2026-04-02T16:00"), at("2026-04-07T10:00")))
                .isEqualTo(Duration.ofHours(2));
        assertThat(OFFICE.withHolidays(PublicHolidays.of("gb-sct")).isWorkingDay(easterMonday))
                .isTrue();
    }

    @Test
    void anUnknownRegionIsRefused() {
        assertThatThrownBy(() -> PublicHolidays.of("atlantis")).hasMessageContaining("atlantis");
        assertThat(PublicHolidays.of("").on(LocalDate.parse("2026-12-25"))).isEmpty();
        assertThat(PublicHolidays.regions())
                .extracting(PublicHolidays.Region::code)
                .contains("gb-eng", "ie", "za");
    }

    @Test
    void ownDaysOffCountLikeHolidays() {
        WorkingTime away = OFFICE.withDaysOff(Set.of(LocalDate.parse("2026-03-11"), LocalDate.parse("2026-03-12")));
        assertThat(away.addWorkingDays(LocalDate.parse("2026-03-10"), 1)).hasToString("2026-03-13");
        assertThat(away.onOrBefore(LocalDate.parse("2026-03-12"))).hasToString("2026-03-10");
        assertThat(away.whyOff(LocalDate.parse("2026-03-11"))).contains("day off");
        assertThat(away.whyOff(LocalDate.parse("2026-03-14"))).contains("weekend");
        assertThat(FreeTime.of(away, 20, List.of()).freeMinutes(LocalDate.parse("2026-03-11"), at("2026-03-10T08:00")))
                .isZero();
    }

    @Test
    void clockChangesCountAsTheyAreLived() {
        Map<DayOfWeek, WorkingTime.Hours> nights = new EnumMap<>(DayOfWeek.class);
        nights.put(DayOfWeek.SUNDAY, new WorkingTime.Hours(LocalTime.of(0, 30), LocalTime.of(6, 30)));
        WorkingTime night = WorkingTime.of(nights, LONDON);
        FreeTime free = FreeTime.of(night, 20, List.of());
        assertThat(free.freeMinutes(LocalDate.parse("2026-03-29"), Instant.EPOCH))
                .isEqualTo(5 * 60);
        assertThat(free.freeMinutes(LocalDate.parse("2026-10-25"), Instant.EPOCH))
                .isEqualTo(7 * 60);
        Instant before = ZonedDateTime.of(2026, 3, 29, 0, 0, 0, 0, LONDON).toInstant();
        assertThat(night.between(before, before.plus(Duration.ofHours(12)))).isEqualTo(Duration.ofHours(5));
    }

    @Test
    void theLastWorkingMoment() {
        assertThat(OFFICE.lastWorkingMomentUpTo(LocalDateTime.parse("2026-03-14T09:00")))
                .hasToString("2026-03-13T17:00");
        assertThat(OFFICE.lastWorkingMomentUpTo(LocalDateTime.parse("2026-03-13T11:00")))
                .hasToString("2026-03-13T11:00");
        assertThat(OFFICE.lastWorkingMomentUpTo(LocalDateTime.parse("2026-03-16T07:00")))
                .hasToString("2026-03-13T17:00");
    }

    @Test
    void yearsOfDaysOffEndTheSearch() {
        WorkingTime never = OFFICE.withHolidays(day -> java.util.Optional.of("strike"));
        assertThat(never.addWorkingDays(LocalDate.parse("2026-03-10"), 1)).isAfter("2026-03-10");
    }
}
