package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/** Follow-ups by one facet at a time, what fits here and now, and one decision about several. It is a Wednesday. */
class FollowUpGroupsTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 4);
    private static final Instant NOW = Instant.parse("2026-03-04T10:00:00Z");
    private static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt-cranes.example");
    private static final Party BOB = new Party("Bob", "");
    private static final UUID CRANE = new UUID(0, 7);

    private static final FollowUpGroups.Names NAMES = new FollowUpGroups.Names() {
        @Override
        public String category(FollowUp followUp) {
            return followUp.categoryId() == null ? "" : "Crane";
        }

        @Override
        public Optional<Party> writer(FollowUp followUp) {
            return followUp.title().startsWith("w") ? Optional.of(TILDA) : Optional.empty();
        }

        @Override
        public Optional<Map.Entry<String, String>> source(FollowUp followUp) {
            return followUp.title().startsWith("w") ? Optional.of(Map.entry("s1", "Office")) : Optional.empty();
        }
    };

    private static FollowUp followUp(
            String title, @Nullable LocalDate day, String place, @Nullable Integer minutes, Party... people) {
        return FollowUp.made(
                UUID.nameUUIDFromBytes(title.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                new UUID(0, 1),
                new Content(
                        title,
                        day,
                        null,
                        false,
                        title.contains("crane") ? CRANE : null,
                        minutes,
                        title.contains("!") ? Priority.HIGH : Priority.NORMAL,
                        false,
                        new Content.Details(null, place, List.of(people), List.of(), "")),
                Optional.empty(),
                NOW);
    }

    private static final List<FollowUp> SOME = List.of(
            followUp("undated crane", null, "", null, BOB, TILDA),
            followUp("w later", TODAY.plusDays(9), "Pontoons", 45),
            followUp("today !", TODAY, "pontoons", 5, TILDA),
            followUp("late crane", TODAY.minusDays(2), "", 300));

    private static List<String> of(Facet facet) {
        return FollowUpGroups.of(SOME, facet, NAMES, TODAY.atTime(10, 0), Map.of()).stream()
                .map(group -> (group.name().isEmpty() ? group.key() : group.name()) + ": "
                        + String.join(
                                ", ",
                                group.followUps().stream().map(FollowUp::title).toList())
                        + " " + group.minutes())
                .toList();
    }

    @Test
    void eachFacetHasItsGroupsInTheirOrder() {
        assertThat(of(Facet.REPLY_BY))
                .containsExactly(
                        "LATE: late crane 300",
                        "TODAY: today ! 5",
                        "NEXT_WEEK: w later 45",
                        "UNDATED: undated crane 15");
        assertThat(of(Facet.CATEGORY)).containsExactly("Crane: late crane, undated crane 315", ": today !, w later 50");
        assertThat(of(Facet.PERSON))
                .as("one of several people is enough; else who wrote; else nobody")
                .containsExactly("Bob: undated crane 15", "Tilda Brandt: today !, w later 50", ": late crane 300");
        assertThat(of(Facet.PLACE)).containsExactly("pontoons: today !, w later 50", ": late crane, undated crane 315");
        assertThat(of(Facet.EFFORT))
                .containsExactly("5: today ! 5", "60: w later 45", "LONGER: late crane 300", ": undated crane 15");
        assertThat(of(Facet.PRIORITY))
                .containsExactly("HIGH: today ! 5", "NORMAL: late crane, w later, undated crane 360");
        assertThat(of(Facet.SOURCE)).containsExactly("Office: w later 45", ": late crane, today !, undated crane 320");
    }

    @ParameterizedTest
    @EnumSource
    void everyOneStandsOnceWhateverTheFacet(Facet facet) {
        Random random = new Random(facet.name().length());
        List<FollowUp> many = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            many.add(followUp(
                    (random.nextBoolean() ? "w" : "") + (random.nextBoolean() ? "crane" : "") + i,
                    random.nextBoolean() ? TODAY.plusDays(random.nextInt(20) - 5) : null,
                    List.of("", "Yard", "yard", "Phone").get(random.nextInt(4)),
                    random.nextBoolean() ? 1 + random.nextInt(300) : null,
                    random.nextBoolean() ? new Party[] {TILDA, BOB} : new Party[0]));
        }
        List<FollowUpGroups.Group> groups = FollowUpGroups.of(many, facet, NAMES, TODAY.atTime(10, 0), Map.of());
        assertThat(groups.stream().flatMap(group -> group.followUps().stream()).toList())
                .containsExactlyInAnyOrderElementsOf(many);
        assertThat(groups.stream().map(FollowUpGroups.Group::key)).doesNotHaveDuplicates();
        assertThat(groups.stream().mapToInt(FollowUpGroups.Group::minutes).sum())
                .isEqualTo(many.stream().mapToInt(FollowUp::expectedMinutes).sum());
    }

    @Test
    void hereAndNowIsWhatFitsThePlaceAndTheTime() {
        assertThat(new HereAndNow("PONTOONS ", 30).among(SOME, TODAY))
                .extracting(FollowUp::title)
                .containsExactly("undated crane", "today !");
        assertThat(new HereAndNow("", 10).among(SOME, TODAY)).isEmpty();
        assertThat(new HereAndNow("yard", 500).among(List.of(SOME.get(3).startingOn(TODAY.plusDays(1))), TODAY))
                .as("out of sight")
                .isEmpty();
    }

    @Test
    void thereIsTimeUntilTheNextMeetingOrTheEndOfWork() {
        ZoneId zone = ZoneId.of("Europe/London");
        WorkingTime office = WorkingTime.officeHours(zone);
        Meeting later = meeting("Later", "2026-03-04T11:30:00Z", true);
        Meeting next = meeting("Next", "2026-03-04T10:25:00Z", true);
        Meeting free = meeting("Shown as free", "2026-03-04T10:05:00Z", false);
        assertThat(HereAndNow.next(List.of(later, free, next), NOW)).contains(next);
        assertThat(HereAndNow.minutesLeft(Optional.of(next), office, NOW)).isEqualTo(25);
        assertThat(HereAndNow.minutesLeft(Optional.of(next), office, NOW.plusSeconds(1800)))
                .as("within it")
                .isZero();
        assertThat(HereAndNow.minutesLeft(Optional.empty(), office, NOW)).isEqualTo(7 * 60);
        assertThat(HereAndNow.minutesLeft(Optional.empty(), office, NOW.plusSeconds(10 * 3600)))
                .as("after work")
                .isEqualTo(60);
    }

    private static Meeting meeting(String title, String from, boolean opaque) {
        Instant start = Instant.parse(from);
        return new Meeting(UUID.randomUUID(), title, title, "", start, start.plusSeconds(3600), false, false, opaque);
    }

    @Test
    void aDecisionChangesOneThing() {
        FollowUp one = SOME.get(0);
        assertThat(choice(Choice.Kind.PLACE, " Yard ").applied(one, NOW)).isEqualTo(one.doneAt("Yard"));
        assertThat(new Choice(Choice.Kind.PERSON, null, null, null, null, TILDA, null)
                        .applied(one, NOW)
                        .people()
                        .list())
                .as("others stay behind")
                .containsExactly(TILDA, BOB);
        assertThat(new Choice(Choice.Kind.REPLY_BY, TODAY, null, null, null, null, null)
                        .applied(one, NOW)
                        .replyDay())
                .isEqualTo(TODAY);
        assertThat(new Choice(Choice.Kind.EFFORT, null, null, null, null, null, 20)
                        .applied(one, NOW)
                        .expectedMinutes())
                .isEqualTo(20);
        assertThat(new Choice(Choice.Kind.PRIORITY, null, null, Priority.LOW, null, null, null)
                        .applied(one, NOW)
                        .priority())
                .isEqualTo(Priority.LOW);
        assertThat(choice(Choice.Kind.DROP, null).applied(one, NOW).state()).isEqualTo(FollowUpState.DROPPED);
    }

    private static Choice choice(Choice.Kind kind, @Nullable String place) {
        return new Choice(kind, null, null, null, place, null, null);
    }

    @Test
    void aFilterLetsThroughWhatHasOneOfTheValuesOfEachFacet() {
        FacetFilter filter = new FacetFilter(List.of(
                new FacetFilter.ChosenValue(Facet.PLACE, "pontoons", "Pontoons"),
                new FacetFilter.ChosenValue(Facet.PLACE, "", ""),
                new FacetFilter.ChosenValue(Facet.PERSON, TILDA.address(), "Tilda")));
        assertThat(FollowUpGroups.having(SOME, filter, NAMES, TODAY.atTime(10, 0)))
                .extracting(FollowUp::title)
                .containsExactly("w later", "today !");
        assertThat(FollowUpGroups.having(SOME, FacetFilter.ALL, NAMES, TODAY.atTime(10, 0)))
                .hasSize(SOME.size());
    }

    @Test
    void myOwnOrderGoesBeforeTheDates() {
        Map<UUID, Long> ranks = Map.of(SOME.get(0).id(), -5L, SOME.get(1).id(), 3L);
        assertThat(FollowUpGroups.of(SOME, Facet.PRIORITY, NAMES, TODAY.atTime(10, 0), ranks)
                        .get(1)
                        .followUps())
                .extracting(FollowUp::title)
                .containsExactly("undated crane", "w later", "late crane");
    }

    @Test
    void byStateWhatIsOutOfSightStandsBehind() {
        FollowUp later = SOME.get(0).startingOn(TODAY.plusDays(1));
        FollowUp answered = SOME.get(1).answerSeen(new UUID(0, 9));
        assertThat(FollowUpGroups.of(
                        List.of(later, answered, SOME.get(2)), Facet.STATE, NAMES, TODAY.atTime(10, 0), Map.of()))
                .extracting(FollowUpGroups.Group::key)
                .containsExactly("ANSWERED", "TO_DO", "PUT_OFF");
    }

    @Test
    void aSpanMeansItsLastWorkingDay() {
        WorkingTime week = WorkingTime.officeHours(ZoneId.of("Europe/London"));
        assertThat(DueSpan.THIS_WEEK.day(TODAY, week)).contains(LocalDate.of(2026, 3, 6));
        assertThat(DueSpan.NEXT_WEEK.day(TODAY, week)).contains(LocalDate.of(2026, 3, 13));
        LocalDate saturday = LocalDate.of(2026, 3, 7);
        assertThat(DueSpan.THIS_WEEK.day(saturday, week)).contains(LocalDate.of(2026, 3, 8));
        assertThat(DueSpan.LATE.day(TODAY, week)).isEmpty();
        for (DueSpan span : List.of(DueSpan.TODAY, DueSpan.TOMORROW, DueSpan.THIS_WEEK, DueSpan.NEXT_WEEK)) {
            LocalDate day = span.day(TODAY, week).orElseThrow();
            assertThat(DueSpan.of(Optional.of(new ReplyBy(day, Optional.empty(), false)), TODAY.atTime(10, 0)))
                    .isEqualTo(span);
        }
    }
}
