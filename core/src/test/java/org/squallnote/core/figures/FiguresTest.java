package org.squallnote.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.category.Category;
import org.squallnote.core.category.Hue;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Decision;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.thread.Age;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;

class FiguresTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingTime OFFICE =
            WorkingTime.officeHours(LONDON).withDaysOff(Set.of(LocalDate.of(2026, 3, 18), LocalDate.of(2026, 4, 3)));
    private static final LocalDate FROM = LocalDate.of(2026, 3, 4);
    private static final LocalDate TO = LocalDate.of(2026, 4, 15);
    private static final UUID TIDE = new UUID(0, 1);

    private static Instant somewhen(Random random) {
        return FROM.atStartOfDay(LONDON).toInstant().plusSeconds(60L * random.nextInt(42 * 24 * 60));
    }

    private static AskFact ask(Random random) {
        Instant at = somewhen(random);
        String who = "p" + random.nextInt(4) + "@x.example";
        return new AskFact(
                UUID.randomUUID(),
                UUID.randomUUID(),
                "Somebody",
                who,
                random.nextBoolean() ? TIDE : null,
                at,
                random.nextInt(4) == 0 ? null : at.plusSeconds(60L * random.nextInt(9 * 24 * 60)));
    }

    /** Minute by minute, over the change of the clocks and the days off. */
    private static long minutesOneByOne(Instant from, Instant to) {
        long minutes = 0;
        for (Instant at = from; at.isBefore(to); at = at.plusSeconds(60)) {
            ZonedDateTime local = at.atZone(LONDON);
            boolean weekend = local.getDayOfWeek() == DayOfWeek.SATURDAY || local.getDayOfWeek() == DayOfWeek.SUNDAY;
            boolean off = weekend
                    || local.toLocalDate().equals(LocalDate.of(2026, 3, 18))
                    || local.toLocalDate().equals(LocalDate.of(2026, 4, 3));
            WorkingTime.Hours hours = WorkingTime.officeHours(LONDON)
                    .hoursOn(LocalDate.of(2026, 3, 4))
                    .orElseThrow();
            if (!off
                    && !local.toLocalTime().isBefore(hours.fromInclusive())
                    && local.toLocalTime().isBefore(hours.toExclusive())) {
                minutes++;
            }
        }
        return minutes;
    }

    private static long slowMedian(List<Long> all) {
        List<Long> sorted = new ArrayList<>(all);
        Collections.sort(sorted);
        int n = sorted.size();
        return n == 0 ? 0 : (sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2;
    }

    private static long slowNinth(List<Long> all) {
        for (long each : all.stream().sorted().toList()) {
            long noLonger = all.stream().filter(other -> other <= each).count();
            if (noLonger * 10 >= all.size() * 9L) {
                return each;
            }
        }
        return 0;
    }

    @Test
    void responseTimesAreWhatASlowCountGives() {
        Random random = new Random(11);
        for (int round = 0; round < 12; round++) {
            List<AskFact> asks = new ArrayList<>();
            for (int i = 0; i < 5 + random.nextInt(30); i++) {
                asks.add(ask(random));
            }
            Figures.Responses found = Figures.responses(asks, FROM, TO, OFFICE);
            List<AskFact> answered =
                    asks.stream().filter(each -> each.answeredAt() != null).toList();
            assertThat(found.unanswered()).isEqualTo(asks.size() - answered.size());
            assertSpread(found.all(), answered);
            found.byPerson()
                    .forEach(each -> assertSpread(
                            each.spread(),
                            answered.stream()
                                    .filter(ask -> ask.fromAddress()
                                            .equals(each.person().address()))
                                    .toList()));
            found.byCategory()
                    .forEach(each -> assertSpread(
                            each.spread(),
                            answered.stream()
                                    .filter(ask -> Objects.equals(ask.categoryId(), each.categoryId()))
                                    .toList()));
            found.byWeek()
                    .forEach(each -> assertSpread(
                            each.spread(),
                            answered.stream()
                                    .filter(ask -> {
                                        LocalDate day = LocalDate.ofInstant(ask.askedAt(), LONDON);
                                        return !day.isBefore(each.week())
                                                && day.isBefore(each.week().plusDays(7));
                                    })
                                    .toList()));
            assertThat(found.byWeek().stream()
                            .mapToInt(each -> each.spread().count())
                            .sum())
                    .isEqualTo(answered.size());
        }
    }

    private static void assertSpread(Spread spread, List<AskFact> answered) {
        List<Long> minutes = answered.stream()
                .map(ask -> minutesOneByOne(ask.askedAt(), Objects.requireNonNull(ask.answeredAt())))
                .toList();
        assertThat(spread).isEqualTo(new Spread(minutes.size(), slowMedian(minutes), slowNinth(minutes)));
    }

    private static EndedFact ended(
            String endedAt, String replyDay, String answeredAt, Integer effort, FollowUpState state) {
        return new EndedFact(
                UUID.randomUUID(),
                TIDE,
                state,
                Instant.parse(endedAt),
                replyDay.isEmpty() ? null : LocalDate.parse(replyDay),
                replyDay.isEmpty() ? null : LocalTime.of(12, 0),
                effort,
                answeredAt.isEmpty() ? null : Instant.parse(answeredAt));
    }

    @Test
    void inTimeIsWhatWasAnsweredInTimeAndCountsInTheWeekInWhichItEnded() {
        Figures.Punctuality found = Figures.punctuality(
                List.of(
                        ended("2026-03-20T10:00:00Z", "2026-03-12", "2026-03-12T11:59:00Z", null, FollowUpState.DONE),
                        ended("2026-03-20T10:00:00Z", "2026-03-12", "2026-03-12T12:01:00Z", null, FollowUpState.DONE),
                        ended("2026-03-20T10:00:00Z", "", "", null, FollowUpState.DONE),
                        ended("2026-03-20T10:00:00Z", "2026-03-12", "", null, FollowUpState.DROPPED)),
                FROM,
                TO,
                OFFICE);
        assertThat(found.onTime()).isEqualTo(1);
        assertThat(found.late()).isEqualTo(1);
        assertThat(found.undated()).isEqualTo(1);
        assertThat(found.byWeek())
                .filteredOn(week -> week.onTime() + week.late() > 0)
                .containsExactly(new Figures.WeekOnTime(LocalDate.of(2026, 3, 16), 1, 1));
    }

    @Test
    void eachWeekHasItsRowAndNothingIsCountedTwiceOverTheChangeOfTheClocks() {
        // A quarter past midnight in London of Monday 30 March is still Sunday in Greenwich.
        Instant monday = Instant.parse("2026-03-29T23:15:00Z");
        Instant sunday = Instant.parse("2026-03-29T22:45:00Z");
        List<Figures.WeekFlow> found =
                Figures.flow(List.of(monday, sunday), List.of(monday), List.of(), FROM, TO, OFFICE);
        assertThat(found).hasSize(7);
        assertThat(found)
                .contains(
                        new Figures.WeekFlow(LocalDate.of(2026, 3, 23), 1, 0, 0),
                        new Figures.WeekFlow(LocalDate.of(2026, 3, 30), 1, 1, 0));
    }

    @Test
    void agesAreThoseOfTheThreads() {
        LocalDate today = LocalDate.of(2026, 4, 1);
        Random random = new Random(3);
        List<Instant> mine = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            mine.add(somewhen(random));
        }
        List<Figures.OfAge> found = Figures.ages(mine, List.of(), today, OFFICE);
        for (Figures.OfAge each : found) {
            assertThat(each.withMe()).isEqualTo((int) mine.stream()
                    .filter(since -> Age.of(since, today, OFFICE) == each.age())
                    .count());
        }
    }

    @Test
    void othersAreThoseForWhomSomethingWaitsAndThoseWhoAnswered() {
        Instant nine = Instant.parse("2026-03-10T10:00:00Z");
        List<Figures.Others> found = Figures.others(
                List.of(
                        new Answered("a@x.example", UUID.randomUUID(), nine, nine.plusSeconds(3600)),
                        new Answered("a@x.example", UUID.randomUUID(), nine, nine.plusSeconds(7200))),
                Map.of("b@x.example", 2),
                OFFICE);
        assertThat(found)
                .containsExactly(
                        new Figures.Others("b@x.example", new Spread(0, 0, 0), 2),
                        new Figures.Others("a@x.example", new Spread(2, 90, 120), 0));
    }

    @Test
    void aBetterEffortIsProposedOnceThereAreEnoughAndItIsFarOff() {
        List<EndedFact> five = new ArrayList<>();
        List<WorkedFact> worked = new ArrayList<>();
        for (int minutes : new int[] {38, 40, 41, 44, 90}) {
            EndedFact ended = ended("2026-03-20T10:00:00Z", "", "", 20, FollowUpState.DONE);
            five.add(ended);
            // In two stretches, of which the first is always as long.
            Instant begin = ended.endedAt().minusSeconds(minutes * 60L);
            worked.add(new WorkedFact(ended.id(), begin, begin.plusSeconds(600)));
            worked.add(new WorkedFact(ended.id(), begin.plusSeconds(600), ended.endedAt()));
        }
        worked.add(new WorkedFact(UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH.plusSeconds(9_000)));
        assertThat(Figures.efforts(five, worked, Map.of())).containsExactly(new Figures.Effort(TIDE, 5, 20, 41, 40));
        assertThat(Figures.efforts(five.subList(0, 4), worked, Map.of()).get(0).proposed())
                .isNull();
        Category tide = new Category(TIDE, UUID.randomUUID(), "Tide", Hue.TIDE, "Ti", null, 0, null, 45, null, 0);
        assertThat(Figures.efforts(five, worked, Map.of(TIDE, tide)).get(0).proposed())
                .as("45 is near enough")
                .isNull();
    }

    @Test
    void aHabitIsTheSameDecisionEachTimeByHand() {
        List<DecidedFact> decided = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            decided.add(fact("news@x.example", Decision.NOTHING, null, false));
            decided.add(fact("mixed@x.example", i == 0 ? Decision.ANSWERED : Decision.NOTHING, null, false));
            decided.add(fact("cooked@x.example", Decision.NOTHING, null, true));
            decided.add(fact("tide@x.example", Decision.FOLLOW_UP, TIDE, false));
            decided.add(fact("each@x.example", Decision.ANSWERED, null, false));
        }
        assertThat(Figures.habits(decided, List.of()))
                .containsExactly(
                        new Figures.Habit("news@x.example", "N", false, Decision.NOTHING, null, 6),
                        new Figures.Habit("tide@x.example", "N", false, Decision.FOLLOW_UP, TIDE, 6));
    }

    @Test
    void aHabitForWhichThereIsARecipeIsNotSaidAgain() {
        List<DecidedFact> decided = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            decided.add(fact("news@x.example", Decision.NOTHING, null, false));
        }
        assertThat(Figures.habits(decided, List.of(recipe("news@x.example", List.of()))))
                .isEmpty();
        assertThat(Figures.habits(decided, List.of(recipe("other@x.example", List.of()))))
                .hasSize(1);
        assertThat(Figures.habits(decided, List.of(recipe("", List.of("tide")))))
                .as("a recipe about words is about nobody")
                .hasSize(1);
    }

    private static Conditions recipe(String sender, List<String> words) {
        return new Conditions(sender, "", "", "", words, null, null, null, null);
    }

    private static DecidedFact fact(String from, Decision decision, UUID category, boolean byRecipe) {
        return new DecidedFact("N", from, null, decision, category, Instant.EPOCH, byRecipe);
    }
}
