package org.squallnote.core.chase;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.WordList;
import org.squallnote.core.time.PublicHolidays;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Stories;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.core.turn.TurnState;

/** When and whom to remind, over whole courses of events. */
class CoursesTest {

    private static final WorkingTime ENGLAND =
            WorkingTime.officeHours(ZoneId.of("Europe/London")).withHolidays(PublicHolidays.of("gb-eng"));

    static List<Stories.Story> courses() {
        return Stories.in(WordList.lines(CoursesTest.class, "courses.txt"));
    }

    private static String told(TurnState state) {
        return state.awaited().stream().map(CoursesTest::told).sorted().collect(Collectors.joining(", "));
    }

    private static String told(Awaited one) {
        ChaseDate date = ChaseDate.of(one, ChasePolicy.USUAL, Optional.empty(), Optional.empty(), ENGLAND);
        return one.party().name() + " " + date.day() + " " + date.why() + " " + one.chases();
    }

    @ParameterizedTest
    @MethodSource("courses")
    void theChaseDateAfterEveryMessage(Stories.Story course) {
        TurnFold fold = TurnFold.over(course.events());
        List<String> dates = new ArrayList<>();
        for (int i = 0; i < course.events().size(); i++) {
            dates.add(told(fold.after(i)));
        }
        assertThat(dates).as(course.name()).isEqualTo(course.expected());
    }

    @Test
    void thereAreManyCourses() {
        assertThat(courses()).hasSizeGreaterThanOrEqualTo(150);
    }

    /** Answers and reminders that cross in every way, over courses put together at random, in any order of arrival. */
    @Test
    void nobodyWhoHasAnsweredIsEverReminded() {
        List<Stories.Story> courses = courses();
        Random random = new Random(11);
        for (int round = 0; round < 3_000; round++) {
            List<TurnEvent> events =
                    new ArrayList<>(courses.get(random.nextInt(courses.size())).events());
            List<Awaited> open = TurnFold.over(events).state().awaited();
            for (Awaited one : open) {
                Instant last = events.get(events.size() - 1).sentAt();
                events.add(message(events.size(), last.plusSeconds(1 + random.nextInt(90_000)), one.party(), true));
                for (int i = 0; i < random.nextInt(4); i++) {
                    events.add(
                            message(events.size(), last.plusSeconds(1 + random.nextInt(180_000)), one.party(), false));
                }
                events.sort(Comparator.comparing(TurnEvent::sentAt));
            }
            Collections.shuffle(events, random);
            TurnFold fold = new TurnFold();
            events.forEach(fold::add);
            assertThat(fold.state().awaited()).as("course %s", events).isEmpty();
        }
    }

    /** "Here it is." of somebody, or a reminder to them. */
    private static TurnEvent message(int number, Instant at, Party party, boolean answer) {
        Stories.Story told = Stories.in(List.of(
                        "== x | mail",
                        (answer ? "Will > me: Here it is." : "me > Will [chase]: Could you still send it, please?")))
                .get(0);
        TurnEvent event = told.events().get(0);
        Party me = answer ? event.to().get(0) : event.from();
        return new TurnEvent(
                new UUID(9, number),
                at,
                event.channel(),
                event.direction(),
                answer ? party : me,
                List.of(answer ? me : party),
                List.of(),
                Optional.empty(),
                false,
                Optional.empty(),
                false,
                !answer,
                event.facts());
    }
}
