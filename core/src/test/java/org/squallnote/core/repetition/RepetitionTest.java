package org.squallnote.core.repetition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;
import org.squallnote.core.time.WorkingTime;

/** The days of a repetition: those of another library, moved around days off, and the one that comes after another. */
class RepetitionTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final LocalDate MONDAY = LocalDate.parse("2026-03-02");

    private static Repetition every(String rule) {
        return new Repetition(rule, false, DaysOff.KEPT, null, null, null);
    }

    private static Occurrence on(LocalDate day, int number) {
        return new Occurrence(day, day, number);
    }

    @Test
    void theyEqualThoseOfAnotherLibrary() {
        Random random = new Random(1512);
        int compared = 0;
        for (int run = 0; run < 1500; run++) {
            LocalDate since = random.nextInt(8) == 0
                    ? LocalDate.parse("2024-02-29")
                    : LocalDate.parse("2024-01-01").plusDays(random.nextInt(900));
            String rule = rule(random);
            List<LocalDate> theirs =
                    new ArrayList<>(new Recur<LocalDate>(rule + ";WKST=MO").getDates(since, since, since.plusYears(5)));
            theirs.remove(since);
            List<LocalDate> ours = following(every(rule), since);
            assertThat(ours).as("%s from %s", rule, since).isEqualTo(theirs);
            compared += ours.size();
        }
        assertThat(compared).isGreaterThan(50_000);
    }

    /** All times after the first in five years, each done on its day. */
    private static List<LocalDate> following(Repetition repetition, LocalDate since) {
        List<LocalDate> days = new ArrayList<>();
        Optional<Occurrence> each = repetition.next(since, on(since, 1), since, OFFICE);
        while (each.filter(it -> !it.day().isAfter(since.plusYears(5))).isPresent()) {
            days.add(each.get().day());
            each = repetition.next(since, each.get(), each.get().day(), OFFICE);
        }
        return days;
    }

    private static String rule(Random random) {
        return switch (random.nextInt(6)) {
            case 0 -> "FREQ=DAILY;INTERVAL=" + (1 + random.nextInt(40));
            case 1 -> "FREQ=WEEKLY;INTERVAL=" + (1 + random.nextInt(4)) + ";BYDAY=" + days(random);
            case 2 -> "FREQ=MONTHLY;BYDAY=" + (random.nextBoolean() ? "-1" : 1 + random.nextInt(4)) + day(random);
            case 3 ->
                "FREQ=MONTHLY;INTERVAL=" + (1 + random.nextInt(4)) + ";BYMONTHDAY="
                        + (random.nextBoolean() ? -1 : 28 + random.nextInt(4));
            case 4 -> "FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1";
            default -> "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29";
        };
    }

    private static String days(Random random) {
        String first = day(random);
        String second = day(random);
        return first.equals(second) ? first : first + "," + second;
    }

    private static String day(Random random) {
        return List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU").get(random.nextInt(7));
    }

    @Test
    void whatIsDoneLateIsNotOwedSeveralTimes() {
        Repetition weekly = every("FREQ=WEEKLY");
        assertThat(weekly.next(MONDAY, on(MONDAY, 1), MONDAY, OFFICE)).contains(on(MONDAY.plusDays(7), 2));
        assertThat(weekly.next(MONDAY, on(MONDAY, 1), MONDAY.minusDays(4), OFFICE))
                .contains(on(MONDAY.plusDays(7), 2));
        assertThat(weekly.next(MONDAY, on(MONDAY, 1), MONDAY.plusDays(15), OFFICE))
                .contains(on(MONDAY.plusDays(21), 2));
        assertThat(weekly.next(MONDAY, on(MONDAY, 1), MONDAY.plusDays(14), OFFICE))
                .contains(on(MONDAY.plusDays(14), 2));
    }

    @Test
    void itIsCountedFromWhenTheOneBeforeWasDone() {
        Repetition whenDone = new Repetition("FREQ=WEEKLY;INTERVAL=3", true, DaysOff.KEPT, null, null, null);
        assertThat(whenDone.next(MONDAY, on(MONDAY, 1), MONDAY.plusDays(2), OFFICE))
                .contains(on(MONDAY.plusDays(23), 2));
    }

    @Test
    void itEndsAfterADayOrANumber() {
        Repetition until = new Repetition("FREQ=WEEKLY", false, DaysOff.KEPT, MONDAY.plusDays(7), null, null);
        assertThat(until.next(MONDAY, on(MONDAY, 1), MONDAY, OFFICE)).isPresent();
        assertThat(until.next(MONDAY, on(MONDAY.plusDays(7), 2), MONDAY, OFFICE))
                .isEmpty();
        Repetition twice = new Repetition("FREQ=WEEKLY", false, DaysOff.KEPT, null, 2, null);
        assertThat(twice.next(MONDAY, on(MONDAY, 1), MONDAY, OFFICE)).isPresent();
        assertThat(twice.next(MONDAY, on(MONDAY.plusDays(7), 2), MONDAY, OFFICE))
                .isEmpty();
    }

    @Test
    void daysOffAreMovedOrLeftOut() {
        WorkingTime offOnThatMonday = OFFICE.withDaysOff(Set.of(MONDAY.plusDays(7)));
        Occurrence first = on(MONDAY, 1);
        assertThat(days(DaysOff.WORKING_DAY_AFTER).next(MONDAY, first, MONDAY, offOnThatMonday))
                .contains(new Occurrence(MONDAY.plusDays(7), MONDAY.plusDays(8), 2));
        assertThat(days(DaysOff.WORKING_DAY_BEFORE).next(MONDAY, first, MONDAY, offOnThatMonday))
                .contains(new Occurrence(MONDAY.plusDays(7), MONDAY.plusDays(4), 2));
        assertThat(days(DaysOff.LEFT_OUT).next(MONDAY, first, MONDAY, offOnThatMonday))
                .contains(on(MONDAY.plusDays(14), 2));
        // The rhythm is that of the rule, not that of the moved day.
        assertThat(days(DaysOff.WORKING_DAY_AFTER)
                        .next(
                                MONDAY,
                                new Occurrence(MONDAY.plusDays(7), MONDAY.plusDays(8), 2),
                                MONDAY.plusDays(8),
                                offOnThatMonday))
                .contains(on(MONDAY.plusDays(14), 3));
    }

    private static Repetition days(DaysOff daysOff) {
        return new Repetition("FREQ=WEEKLY", false, daysOff, null, null, null);
    }

    @Test
    void daysThatAreMovedTogetherAreOne() {
        Repetition daily = new Repetition("FREQ=DAILY", false, DaysOff.WORKING_DAY_AFTER, null, null, null);
        LocalDate friday = MONDAY.plusDays(4);
        Occurrence afterTheWeekend = new Occurrence(friday.plusDays(1), friday.plusDays(3), 6);
        assertThat(daily.next(MONDAY, on(friday, 5), friday, OFFICE)).contains(afterTheWeekend);
        assertThat(daily.next(MONDAY, afterTheWeekend, afterTheWeekend.day(), OFFICE))
                .contains(on(friday.plusDays(4), 7));
    }

    @Test
    void aRuleThatGivesNothingEnds() {
        assertThat(every("FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30").first(MONDAY, OFFICE))
                .isEmpty();
        assertThat(new Repetition("FREQ=WEEKLY;BYDAY=SA", false, DaysOff.LEFT_OUT, null, null, null)
                        .first(MONDAY, OFFICE))
                .isEmpty();
        assertThatThrownBy(() -> every("FREQ=SECONDLY")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void oneComesInSightBeforeItsDay() {
        assertThat(every("FREQ=DAILY").inSight(on(MONDAY, 1))).isEqualTo(MONDAY);
        assertThat(every("FREQ=YEARLY").inSight(on(MONDAY, 1))).isEqualTo(MONDAY.minusDays(21));
        assertThat(new Repetition("FREQ=YEARLY", false, DaysOff.KEPT, null, null, 3).inSight(on(MONDAY, 1)))
                .isEqualTo(MONDAY.minusDays(3));
    }
}
