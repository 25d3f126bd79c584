package org.squallnote.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.plan.RandomWeeks.FIRST;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.plan.Fitting.Move;

class FittingTest {

    private static Work work(String name, int minutes, boolean firm, Priority priority, int due, int planned) {
        return new Work(
                UUID.nameUUIDFromBytes(name.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                minutes,
                firm,
                priority,
                FIRST,
                Optional.of(FIRST.plusDays(due)),
                Optional.of(FIRST.plusDays(planned)),
                false);
    }

    private static List<Room> rooms(int... minutes) {
        List<Room> rooms = new ArrayList<>();
        for (int each : minutes) {
            rooms.add(new Room(FIRST.plusDays(rooms.size()), each));
        }
        return rooms;
    }

    @Test
    void flexibleMovesBeforeFirmAndLowPriorityFirst() {
        Work firm = work("firm", 30, true, Priority.LOW, 2, 0);
        Work high = work("high", 30, false, Priority.HIGH, 2, 0);
        Work low = work("low", 30, false, Priority.LOW, 2, 0);
        Fitting fitting = Fitting.of(rooms(60, 60, 60), List.of(firm, high, low));
        assertThat(fitting.moves()).containsExactly(new Move(low.id(), FIRST, FIRST.plusDays(1)));
        assertThat(fitting.over()).isEmpty();
    }

    @Test
    void theLatestReplyByMovesFirstAndGoesToTheFirstDayWithRoom() {
        Work sooner = work("sooner", 30, false, Priority.NORMAL, 2, 0);
        Work later = work("later", 30, false, Priority.NORMAL, 3, 0);
        Fitting fitting = Fitting.of(rooms(30, 20, 60, 60), List.of(sooner, later));
        assertThat(fitting.moves()).containsExactly(new Move(later.id(), FIRST, FIRST.plusDays(2)));
    }

    @Test
    void nothingMovesPastItsOwnDateAndWhatIsLeftOverIsSaid() {
        Work today = work("today", 90, false, Priority.NORMAL, 0, 0);
        Fitting fitting = Fitting.of(rooms(60, 400), List.of(today));
        assertThat(fitting.moves()).isEmpty();
        assertThat(fitting.over()).containsExactly(Map.entry(FIRST, 30));
    }

    @Test
    void whatIsDueOnAFullDayComesForward() {
        Work due = new Work(
                new UUID(1, 1),
                50,
                true,
                Priority.NORMAL,
                FIRST,
                Optional.of(FIRST.plusDays(2)),
                Optional.empty(),
                false);
        assertThat(Fitting.of(rooms(60, 60, 20), List.of(due)).moves())
                .containsExactly(new Move(due.id(), FIRST.plusDays(2), FIRST));
    }

    @Test
    void whatIsNotNeededInTheEndIsNotProposed() {
        Work small = work("small", 10, false, Priority.LOW, 2, 0);
        Work large = work("large", 60, false, Priority.HIGH, 2, 0);
        Fitting fitting = Fitting.of(rooms(20, 70, 70), List.of(small, large));
        assertThat(fitting.moves()).extracting(Move::id).containsExactly(large.id());
    }

    @Test
    void whatWasProposedFitsIsNeededAndIsInTime() {
        int fitted = 0;
        for (int seed = 0; seed < 4000; seed++) {
            RandomWeeks weeks = new RandomWeeks(seed);
            List<Room> rooms = weeks.rooms();
            List<Work> works = weeks.works(rooms.size());
            Fitting fitting = Fitting.of(rooms, works);
            Map<UUID, Work> byId = works.stream().collect(Collectors.toMap(Work::id, work -> work));
            Map<LocalDate, Integer> before = left(rooms, works, List.of());
            Map<LocalDate, Integer> after = left(rooms, works, fitting.moves());

            assertThat(fitting.moves())
                    .as("seed %s: once each", seed)
                    .extracting(Move::id)
                    .doesNotHaveDuplicates();
            after.forEach((day, minutes) ->
                    assertThat(Math.max(0, -minutes)).isEqualTo(fitting.over().getOrDefault(day, 0)));
            for (Move move : fitting.moves()) {
                Work work = byId.get(move.id());
                assertThat(work.fixed()).isFalse();
                assertThat(move.from()).isEqualTo(work.day().orElseThrow());
                assertThat(move.to()).isAfterOrEqualTo(work.earliest());
                work.due().ifPresent(due -> assertThat(move.to()).isBeforeOrEqualTo(due));
                assertThat(before.get(move.from()))
                        .as("only full days are relieved")
                        .isNegative();
                assertThat(after.get(move.to())).as("no day is overfilled").isNotNegative();
                List<Move> others = new ArrayList<>(fitting.moves());
                others.remove(move);
                assertThat(left(rooms, works, others).get(move.from()))
                        .as("seed %s: needed", seed)
                        .isNegative();
            }
            fitted += fitting.over().isEmpty() && !fitting.moves().isEmpty() ? 1 : 0;
        }
        assertThat(fitted).as("weeks that could be made to fit").isGreaterThan(300);
    }

    private static Map<LocalDate, Integer> left(List<Room> rooms, List<Work> works, List<Move> moves) {
        Map<LocalDate, Integer> left = new HashMap<>();
        rooms.forEach(room -> left.put(room.day(), room.minutes()));
        Map<UUID, LocalDate> moved = moves.stream().collect(Collectors.toMap(Move::id, Move::to));
        for (Work work : works) {
            work.day()
                    .filter(left::containsKey)
                    .ifPresent(day -> left.merge(moved.getOrDefault(work.id(), day), -work.minutes(), Integer::sum));
        }
        return left;
    }
}
