package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class HandOrderTest {

    private static final UUID A = new UUID(0, 1);
    private static final UUID B = new UUID(0, 2);
    private static final UUID C = new UUID(0, 3);

    /** As the list stands: by number, without one behind and by id, which is the date here. */
    private static List<UUID> shown(List<UUID> all, Map<UUID, Long> ranks) {
        return all.stream()
                .sorted(Comparator.comparing(
                                (UUID id) -> ranks.get(id), Comparator.nullsLast(Comparator.<Long>naturalOrder()))
                        .thenComparing(UUID::getLeastSignificantBits))
                .toList();
    }

    @Test
    void whatIsPutOnTopGetsTheOnlyNumber() {
        assertThat(HandOrder.moved(List.of(C, A, B), Set.of(C), Map.of())).containsOnlyKeys(C);
    }

    @Test
    void betweenTwoWithNumbersNothingElseChanges() {
        assertThat(HandOrder.moved(List.of(A, C, B), Set.of(C), Map.of(A, 0L, B, 10L)))
                .isEqualTo(Map.of(C, 5L));
    }

    @Test
    void whereThereIsNoRoomWhatFollowsMakesSome() {
        Map<UUID, Long> changed = HandOrder.moved(List.of(A, C, B), Set.of(C), Map.of(A, 0L, B, 1L));
        assertThat(changed).containsOnlyKeys(B, C);
        assertThat(changed.get(C)).isPositive().isLessThan(changed.get(B));
    }

    /** Whatever is moved where, the list stands as it was left. */
    @Test
    void anyCourseOfMovesLeavesTheListAsItWasPut() {
        Random random = new Random(17);
        for (int course = 0; course < 300; course++) {
            List<UUID> all = new ArrayList<>();
            for (int i = 0; i < 2 + random.nextInt(9); i++) {
                all.add(new UUID(0, i));
            }
            Map<UUID, Long> ranks = new HashMap<>();
            for (int move = 0; move < 40; move++) {
                List<UUID> wanted = new ArrayList<>(shown(all, ranks));
                Set<UUID> moved = new HashSet<>();
                for (int i = 0; i < 1 + random.nextInt(2); i++) {
                    moved.add(wanted.get(random.nextInt(wanted.size())));
                }
                List<UUID> run = wanted.stream().filter(moved::contains).toList();
                wanted.removeAll(moved);
                wanted.addAll(random.nextInt(wanted.size() + 1), run);
                ranks.putAll(HandOrder.moved(wanted, moved, ranks));
                assertThat(shown(all, ranks)).isEqualTo(wanted);
            }
        }
    }
}
