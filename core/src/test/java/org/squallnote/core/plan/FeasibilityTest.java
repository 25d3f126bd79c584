package org.squallnote.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.plan.RandomWeeks.FIRST;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.Priority;

class FeasibilityTest {

    private static Work work(int minutes, int start, int due) {
        return new Work(
                UUID.randomUUID(),
                minutes,
                false,
                Priority.NORMAL,
                FIRST.plusDays(start),
                Optional.of(FIRST.plusDays(due)),
                Optional.empty(),
                false);
    }

    private static List<Room> rooms(int... minutes) {
        return IntStream.range(0, minutes.length)
                .mapToObj(i -> new Room(FIRST.plusDays(i), minutes[i]))
                .toList();
    }

    @Test
    void whatIsDueUpToADayHasAllTheRoomUpToIt() {
        Feasibility answer = Feasibility.of(rooms(60, 60, 60), List.of(work(100, 0, 1), work(70, 0, 2)));
        assertThat(answer.firstShort()).isEmpty();
        assertThat(answer.fitsUntil()).contains(FIRST.plusDays(2));
    }

    @Test
    void itSaysUntilWhenItFitsAndHowMuchIsTooMuch() {
        Feasibility answer = Feasibility.of(rooms(60, 60, 60), List.of(work(50, 0, 0), work(170, 0, 2)));
        assertThat(answer.fitsUntil()).contains(FIRST.plusDays(1));
        assertThat(answer.firstShort()).contains(new Feasibility.Shortfall(FIRST.plusDays(2), 40));
        assertThat(answer.mostShortMinutes()).isEqualTo(40);
    }

    @Test
    void whatIsOutOfSightUntilADayCannotBeDoneBefore() {
        assertThat(Feasibility.of(rooms(60, 60), List.of(work(80, 1, 1))).mostShortMinutes())
                .isEqualTo(20);
        assertThat(Feasibility.of(rooms(60, 60), List.of(work(80, 0, 1))).mostShortMinutes())
                .isZero();
    }

    @Test
    void whatIsDueLaterOrNeverDoesNotCount() {
        assertThat(Feasibility.of(rooms(10), List.of(work(500, 0, 3))).mostShortMinutes())
                .isZero();
        assertThat(Feasibility.of(rooms(), List.of(work(500, 0, 3))).fitsUntil())
                .isEmpty();
    }

    /** A day is worked through minute by minute, always at what is due first of what has begun. */
    @Test
    void itEqualsAScheduleByTheMinute() {
        for (int seed = 0; seed < 4000; seed++) {
            RandomWeeks weeks = new RandomWeeks(seed);
            List<Room> rooms = weeks.rooms();
            List<Work> works = weeks.works(rooms.size());
            Feasibility answer = Feasibility.of(rooms, works);
            assertThat(answer.days())
                    .as("seed %s", seed)
                    .extracting(Feasibility.Shortfall::minutes)
                    .isEqualTo(byTheMinute(rooms, works));
        }
    }

    private static List<Integer> byTheMinute(List<Room> rooms, List<Work> works) {
        Map<UUID, Integer> left = new HashMap<>();
        works.forEach(work -> left.put(work.id(), work.minutes()));
        List<Integer> missed = new ArrayList<>();
        for (Room room : rooms) {
            for (int minute = 0; minute < room.minutes(); minute++) {
                works.stream()
                        .filter(work -> work.due().isPresent() && left.get(work.id()) > 0)
                        .filter(work -> !begins(work).isAfter(room.day()))
                        .min(Comparator.comparing(work -> work.due().get()))
                        .ifPresent(work -> left.merge(work.id(), -1, Integer::sum));
            }
            missed.add(works.stream()
                    .filter(work ->
                            work.due().filter(due -> !due.isAfter(room.day())).isPresent())
                    .mapToInt(work -> left.get(work.id()))
                    .sum());
        }
        return missed;
    }

    /** What is put off past its own date counts on that date. */
    private static LocalDate begins(Work work) {
        return work.earliest().isAfter(work.due().orElseThrow()) ? work.due().orElseThrow() : work.earliest();
    }
}
