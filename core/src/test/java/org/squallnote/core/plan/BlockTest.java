package org.squallnote.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.time.Busy;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;

/** Blocks are typed, and make way for meetings. */
class BlockTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingTime OFFICE = WorkingTime.officeHours(LONDON);

    /** A Wednesday. */
    private static final LocalDate DAY = LocalDate.parse("2026-03-04");

    private static final Instant EIGHT = DAY.atTime(8, 0).atZone(LONDON).toInstant();

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2pm 1h | 14:00 | 60",
                "14:00 | 14:00 | ",
                "14 | 14:00 | ",
                "at 9.30 for 45 min | 09:30 | 45",
                "14-15:30 | 14:00 | 90",
                "9:15 to 10 | 09:15 | 45",
                "noon 30m | 12:00 | 30",
                "0930 | 09:30 | ",
                "midnight 1h | 00:00 | 60",
                "12am 20 | 00:00 | 20",
                "8h30 1.5h | 08:30 | 90",
                "10 1h 15min | 10:00 | 75",
                "10:00, 2 hours | 10:00 | 120",
            })
    void aTimeAndALengthAreRead(String typed, String at, Integer minutes) {
        assertThat(TypedBlock.read(typed)).contains(new TypedBlock(LocalTime.parse(at), Optional.ofNullable(minutes)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "25:00", "14:75", "13pm", "15-14", "10 0 min", "10 90h", "1h"})
    void whatSaysNoTimeIsNone(String typed) {
        assertThat(TypedBlock.read(typed)).isEmpty();
    }

    private static Busy busy(String from, String to) {
        return new Busy(
                DAY.atTime(LocalTime.parse(from)).atZone(LONDON).toInstant(),
                DAY.atTime(LocalTime.parse(to)).atZone(LONDON).toInstant());
    }

    private static Block block(String at, int minutes) {
        return new Block(new UUID(0, at.hashCode()), DAY, LocalTime.parse(at), minutes);
    }

    private static List<String> moved(List<Block> blocks, Instant now, Busy... busy) {
        return Block.movedAround(
                        blocks, List.of(busy), FreeTime.of(OFFICE, 0, List.of(busy)), now, (block, meeting) -> false)
                .stream()
                .map(each -> each.block().at() + "→" + each.to())
                .toList();
    }

    @Test
    void oneThatAMeetingComesUponGoesToTheNextFreeTime() {
        assertThat(moved(List.of(block("10:00", 60)), EIGHT, busy("10:30", "11:30")))
                .containsExactly("10:00→11:30");
        assertThat(moved(List.of(block("10:00", 60)), EIGHT, busy("11:00", "12:00")))
                .isEmpty();
        assertThat(moved(List.of(block("10:00", 60), block("11:30", 30)), EIGHT, busy("10:00", "11:00")))
                .as("not onto another one")
                .containsExactly("10:00→12:00");
    }

    @Test
    void whatFindsNoRoomLaterGoesEarlierAndElseLosesItsTime() {
        assertThat(moved(List.of(block("16:00", 60)), EIGHT, busy("16:00", "17:00")))
                .containsExactly("16:00→09:00");
        assertThat(moved(List.of(block("10:00", 60)), EIGHT, busy("09:00", "17:00")))
                .containsExactly("10:00→null");
    }

    @Test
    void whatShallStayStaysAndOthersMakeWayForIt() {
        Block mine = block("10:00", 60);
        Busy meeting = busy("10:30", "11:30");
        assertThat(Block.movedAround(
                        List.of(mine, block("11:00", 30)),
                        List.of(meeting),
                        FreeTime.of(OFFICE, 0, List.of(meeting)),
                        EIGHT,
                        (block, each) -> block.equals(mine)))
                .singleElement()
                .satisfies(moved -> assertThat(moved.to()).isEqualTo("11:30"));
    }

    @Test
    void whatHasBegunStaysAndNothingGoesIntoThePast() {
        Instant half = DAY.atTime(10, 32).atZone(LONDON).toInstant();
        assertThat(moved(List.of(block("10:00", 60)), half, busy("10:30", "11:30")))
                .isEmpty();
        assertThat(moved(List.of(block("16:00", 60)), half, busy("16:00", "17:00")))
                .containsExactly("16:00→10:35");
    }

    @Test
    void twoThatAreMovedDoNotMeet() {
        assertThat(moved(List.of(block("10:00", 60), block("11:00", 60)), EIGHT, busy("10:00", "12:00")))
                .containsExactly("10:00→12:00", "11:00→13:00");
    }

    @Test
    void onRandomDaysNothingThatWasMovedOverlapsAnything() {
        Random random = new Random(515);
        int seen = 0;
        for (int run = 0; run < 3000; run++) {
            List<Busy> busy = new ArrayList<>();
            for (int i = random.nextInt(4); i >= 0; i--) {
                int from = 540 + 15 * random.nextInt(30);
                busy.add(busy(clock(from), clock(from + 15 + 15 * random.nextInt(6))));
            }
            List<Block> blocks = new ArrayList<>();
            for (int i = random.nextInt(4); i >= 0; i--) {
                blocks.add(new Block(
                        new UUID(run, i),
                        DAY,
                        LocalTime.parse(clock(540 + 5 * random.nextInt(90))),
                        5 + 5 * random.nextInt(20)));
            }
            FreeTime free = FreeTime.of(OFFICE, 0, busy);
            for (Block.Moved each : Block.movedAround(blocks, busy, free, EIGHT, (block, meeting) -> false)) {
                if (each.to() != null) {
                    Block now = new Block(
                            each.block().followUpId(),
                            DAY,
                            each.to(),
                            each.block().minutes());
                    assertThat(busy)
                            .noneMatch(meeting -> now.from(LONDON).isBefore(meeting.toExclusive())
                                    && now.to(LONDON).isAfter(meeting.fromInclusive()));
                    assertThat(now.to(LONDON))
                            .isBeforeOrEqualTo(DAY.atTime(17, 0).atZone(LONDON).toInstant());
                    seen++;
                }
            }
        }
        assertThat(seen).isGreaterThan(1000);
    }

    private static String clock(int minute) {
        return LocalTime.ofSecondOfDay(minute * 60L).toString();
    }

    @Test
    void itsUidIsKnownAgain() {
        assertThat(Block.isUid(Block.uid(UUID.randomUUID()))).isTrue();
        assertThat(Block.isUid("crane@brandt.example")).isFalse();
    }
}
