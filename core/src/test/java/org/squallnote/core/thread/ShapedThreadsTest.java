package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Recipients;
import org.squallnote.core.message.Texts;
import org.squallnote.core.message.ThreadingRow;

class ShapedThreadsTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    /** A message by its number, sent in that order; {@code refs} are numbers too. */
    private static ThreadingRow row(Channel channel, int number, int... refs) {
        return new ThreadingRow(
                id(number),
                new UUID(9, 9),
                channel,
                Direction.INCOMING,
                Nature.PERSON,
                "Tilda",
                "tilda@x.example",
                new Recipients(List.of(), List.of(), List.of(), List.of()),
                "Crane",
                NINE.plusSeconds(60L * number),
                "m" + number,
                new Texts(Arrays.stream(refs).mapToObj(ref -> "m" + ref).toList()),
                null,
                null,
                new UUID(8, 8),
                new UUID(7, 7),
                Decision.UNDECIDED,
                false,
                null);
    }

    private static UUID id(int number) {
        return new UUID(1, number);
    }

    private static ThreadingRow mail(int number, int... refs) {
        return row(Channel.MAIL, number, refs);
    }

    private static Set<Set<Long>> shaped(List<List<ThreadingRow>> computed, ThreadShape... shapes) {
        return ShapedThreads.of(computed, List.of(shapes)).stream()
                .map(thread -> thread.stream()
                        .map(row -> row.id().getLeastSignificantBits())
                        .collect(Collectors.toSet()))
                .collect(Collectors.toSet());
    }

    private static ThreadShape cut(int number) {
        return new ThreadShape(id(number), null);
    }

    private static ThreadShape join(int number, int other) {
        return new ThreadShape(id(number), id(other));
    }

    @Test
    void aMailTakesAlongWhatAnswersIt() {
        List<List<ThreadingRow>> thread =
                List.of(List.of(mail(1), mail(2, 1), mail(3, 1, 2), mail(4, 1), mail(5, 1, 2, 3), mail(6, 1, 4)));
        assertThat(shaped(thread, cut(3))).containsExactlyInAnyOrder(Set.of(1L, 2L, 4L, 6L), Set.of(3L, 5L));
        assertThat(shaped(thread, cut(2), cut(3)))
                .containsExactlyInAnyOrder(Set.of(1L, 4L, 6L), Set.of(2L), Set.of(3L, 5L));
    }

    @Test
    void inARoomWhatIsSaidAfterItGoesAlong() {
        List<List<ThreadingRow>> talk = List.of(
                List.of(row(Channel.CHAT, 1), row(Channel.CHAT, 2), row(Channel.CHAT, 3), row(Channel.CHAT, 4)));
        assertThat(shaped(talk, cut(3))).containsExactlyInAnyOrder(Set.of(1L, 2L), Set.of(3L, 4L));
    }

    @Test
    void joinedThreadsAreOne() {
        List<List<ThreadingRow>> three = List.of(List.of(mail(1), mail(2, 1)), List.of(mail(3)), List.of(mail(4)));
        assertThat(shaped(three, join(3, 2))).containsExactlyInAnyOrder(Set.of(1L, 2L, 3L), Set.of(4L));
        assertThat(shaped(three, join(3, 2), join(4, 3))).containsExactly(Set.of(1L, 2L, 3L, 4L));
    }

    @Test
    void whatIsSaidOfOtherMessagesChangesNothing() {
        List<List<ThreadingRow>> one = List.of(List.of(mail(1), mail(2, 1)));
        assertThat(shaped(one, cut(9), join(8, 1), join(9, 8))).containsExactly(Set.of(1L, 2L));
    }

    @Test
    void nothingIsLostAndNoOrderMatters() {
        Random random = new Random(11);
        for (int round = 0; round < 500; round++) {
            List<ThreadingRow> all = new ArrayList<>();
            for (int i = 1; i <= 12; i++) {
                boolean answers = i > 1 && random.nextInt(4) > 0;
                all.add(answers ? mail(i, 1 + random.nextInt(i - 1)) : mail(i));
            }
            List<List<ThreadingRow>> computed =
                    new ArrayList<>(List.of(new ArrayList<>(all.subList(0, 7)), new ArrayList<>(all.subList(7, 12))));
            List<ThreadShape> shapes = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                shapes.add(
                        random.nextBoolean()
                                ? cut(1 + random.nextInt(12))
                                : join(1 + random.nextInt(12), 1 + random.nextInt(12)));
            }
            Set<Set<Long>> expected = shaped(computed, shapes.toArray(ThreadShape[]::new));
            assertThat(expected.stream().mapToInt(Set::size).sum()).isEqualTo(12);
            Collections.shuffle(computed, random);
            computed.forEach(thread -> Collections.shuffle(thread, random));
            Collections.shuffle(shapes, random);
            assertThat(shaped(computed, shapes.toArray(ThreadShape[]::new))).isEqualTo(expected);
        }
    }
}
