package org.squallnote.core.spent;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;

class SpentTimeTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final Instant NOW = Instant.parse("2026-04-30T12:00:00Z");
    private static final UUID TIDE = new UUID(0, 1);
    private static final UUID CRANE = new UUID(0, 2);

    private static Worked worked(int followUp, UUID category, String from, String to) {
        return new Worked(
                UUID.randomUUID(),
                new UUID(9, followUp),
                "Follow-up " + followUp,
                category,
                new Parties(List.of(new Party("Tilda", "tilda@x.example"), new Party("Will", "will@x.example"))),
                Instant.parse(from),
                to.isEmpty() ? null : Instant.parse(to),
                null);
    }

    private static SpentTime of(List<Worked> worked, SpentTime.By by, TimeWishes wishes) {
        return SpentTime.of(worked, LocalDate.of(2026, 3, 1), LocalDate.of(2026, 3, 31), by, wishes, LONDON, NOW);
    }

    @Test
    void isCutAtMidnightAndAtTheEndsOfTheDaysAskedFor() {
        SpentTime time = of(
                List.of(
                        worked(1, TIDE, "2026-03-02T23:30:00Z", "2026-03-03T00:45:00Z"),
                        worked(1, TIDE, "2026-02-28T23:00:00Z", "2026-03-01T00:10:00Z"),
                        // Summer time has begun: midnight is at 23:00 of Greenwich.
                        worked(1, TIDE, "2026-03-31T22:50:00Z", "2026-04-01T08:00:00Z")),
                SpentTime.By.DAY,
                TimeWishes.USUAL);
        assertThat(time.groups())
                .extracting(group -> group.key() + " " + group.minutes())
                .containsExactly("2026-03-01 10", "2026-03-02 30", "2026-03-03 45", "2026-03-31 10");
    }

    @Test
    void isRoundedLineByLineOrDayByDayAndBilled() {
        List<Worked> two = List.of(
                worked(1, TIDE, "2026-03-02T09:00:00Z", "2026-03-02T09:07:00Z"),
                worked(1, TIDE, "2026-03-02T11:00:00Z", "2026-03-02T11:07:00Z"));
        BigDecimal ninety = new BigDecimal("90");
        List<TimeWishes.Rate> rates = List.of(new TimeWishes.Rate(TIDE, ninety));
        SpentTime each = of(two, SpentTime.By.CATEGORY, new TimeWishes(new Rounding(15, true, false), "EUR", rates));
        assertThat(each.minutes()).isEqualTo(14);
        assertThat(each.rounded()).isEqualTo(30);
        assertThat(each.amount()).isEqualByComparingTo("45");
        SpentTime day = of(two, SpentTime.By.CATEGORY, new TimeWishes(new Rounding(15, true, true), "EUR", rates));
        assertThat(day.rounded()).isEqualTo(15);
        assertThat(day.amount()).isEqualByComparingTo("22.50");
        assertThat(day.groups().get(0).lines())
                .singleElement()
                .matches(line -> line.stints().size() == 2);
        SpentTime nearest =
                of(two, SpentTime.By.CATEGORY, new TimeWishes(new Rounding(15, false, false), "", List.of()));
        assertThat(nearest.rounded()).isZero();
        assertThat(nearest.amount()).isNull();
    }

    @Test
    void countsOnceForWhomeverItConcernsFirstAndUntilNowWhileItRuns() {
        SpentTime time = SpentTime.of(
                List.of(worked(1, CRANE, "2026-04-30T11:30:00Z", "")),
                LocalDate.of(2026, 4, 30),
                LocalDate.of(2026, 4, 30),
                SpentTime.By.PERSON,
                TimeWishes.USUAL,
                LONDON,
                NOW);
        assertThat(time.groups()).singleElement().satisfies(group -> {
            assertThat(group.key()).isEqualTo("tilda@x.example");
            assertThat(group.minutes()).isEqualTo(30);
            assertThat(group.lines().get(0).running()).isTrue();
        });
    }

    /** Against counting each minute of each day by itself, over the change of the clocks. */
    @Test
    void isWhatCountingMinuteByMinuteGives() {
        Random random = new Random(7);
        for (int round = 0; round < 40; round++) {
            List<Worked> worked = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                Instant from = Instant.parse("2026-03-20T00:00:00Z").plusSeconds(60L * random.nextInt(20 * 24 * 60));
                worked.add(new Worked(
                        UUID.randomUUID(),
                        new UUID(9, random.nextInt(4)),
                        "x",
                        random.nextBoolean() ? TIDE : null,
                        new Parties(List.of()),
                        from,
                        from.plusSeconds(60L * random.nextInt(3000)),
                        null));
            }
            LocalDate first = LocalDate.of(2026, 3, 24);
            LocalDate last = LocalDate.of(2026, 4, 2);
            Map<String, Integer> byDay = new HashMap<>();
            Map<String, Integer> byCategory = new HashMap<>();
            for (Worked each : worked) {
                Instant end = java.util.Objects.requireNonNull(each.endedAt());
                for (Instant at = each.startedAt(); at.isBefore(end); at = at.plusSeconds(60)) {
                    LocalDate day = at.atZone(LONDON).toLocalDate();
                    if (!day.isBefore(first) && !day.isAfter(last)) {
                        byDay.merge(day.toString(), 1, Integer::sum);
                        byCategory.merge(each.categoryId() == null ? "" : TIDE.toString(), 1, Integer::sum);
                    }
                }
            }
            assertThat(totals(SpentTime.of(worked, first, last, SpentTime.By.DAY, TimeWishes.USUAL, LONDON, NOW)))
                    .isEqualTo(byDay);
            assertThat(totals(SpentTime.of(worked, first, last, SpentTime.By.CATEGORY, TimeWishes.USUAL, LONDON, NOW)))
                    .isEqualTo(byCategory);
        }
    }

    private static Map<String, Integer> totals(SpentTime time) {
        Map<String, Integer> totals = new HashMap<>();
        time.groups().forEach(group -> totals.put(group.key(), group.minutes()));
        return totals;
    }
}
