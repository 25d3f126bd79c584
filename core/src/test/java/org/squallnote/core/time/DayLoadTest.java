package org.squallnote.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Seven hours a day, less a fifth. It is Thursday 5 March 2026, early. */
class DayLoadTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDate THURSDAY = LocalDate.of(2026, 3, 5);
    private static final Instant EARLY = THURSDAY.atTime(7, 0).atZone(LONDON).toInstant();
    private static final FreeTime FREE = FreeTime.of(WorkingTime.officeHours(LONDON), 20, List.of());

    @Test
    void aDayIsFullWhenWhatIsDueReachesItsRoom() {
        assertThat(DayLoad.of(THURSDAY, List.of(200, 183), FREE, EARLY).full()).isFalse();
        DayLoad full = DayLoad.of(THURSDAY, List.of(200, 184), FREE, EARLY);
        assertThat(full.full()).isTrue();
        assertThat(full.freeMinutes()).isEqualTo(384);
        assertThat(DayLoad.of(THURSDAY.minusDays(1), List.of(900), FREE, EARLY).full())
                .as("over")
                .isFalse();
        assertThat(DayLoad.of(THURSDAY.plusDays(2), List.of(900), FREE, EARLY).full())
                .as("a Saturday")
                .isFalse();
    }

    @Test
    void theNextDayWithRoomIsAWorkingDayThatIsNotFull() {
        Map<LocalDate, Collection<Integer>> due = Map.of(THURSDAY.plusDays(1), List.of(500));
        Function<LocalDate, Collection<Integer>> efforts = day -> due.getOrDefault(day, List.of());
        assertThat(DayLoad.firstWithRoom(THURSDAY, 30, efforts, FREE, EARLY)).contains(THURSDAY.plusDays(4));
        assertThat(DayLoad.firstWithRoom(THURSDAY, 3, efforts, FREE, EARLY)).isEmpty();
    }
}
