package org.squallnote.core.todo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;

class MergedTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final LocalDate FRIDAY = LocalDate.of(2026, 3, 6);
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 9);
    private static final Todo BASE = todo("Send the plans", FRIDAY, FollowUpState.OPEN, "");

    private static Todo todo(String title, LocalDate day, FollowUpState state, String note) {
        return new Todo(title, day, null, null, Priority.NORMAL, state, note, "", "");
    }

    private static Merged merged(Todo mine, Todo theirs) {
        return Merged.of(Optional.of(BASE), mine, theirs, "Tasks", ZONE);
    }

    @Test
    void whatOnlyOneSideHasChangedIsTaken() {
        Todo mine = todo("Send all plans", FRIDAY, FollowUpState.OPEN, "");
        Todo theirs = todo("Send the plans", MONDAY, FollowUpState.DONE, "by the van");
        Merged both = merged(mine, theirs);
        assertThat(both.todo()).isEqualTo(todo("Send all plans", MONDAY, FollowUpState.DONE, "by the van"));
        assertThat(both.clashes()).isEmpty();
    }

    @Test
    void whatBothHaveChangedOtherwiseIsMineAndTheirsStandsInTheNote() {
        Todo mine = todo("Send all plans", MONDAY, FollowUpState.OPEN, "");
        Todo theirs = new Todo(
                "Send plan B",
                null,
                Instant.parse("2026-03-10T14:00:00Z"),
                null,
                Priority.NORMAL,
                FollowUpState.OPEN,
                "",
                "",
                "");
        Merged both = merged(mine, theirs);
        assertThat(both.todo().title()).isEqualTo("Send all plans");
        assertThat(both.todo().dueDay()).isEqualTo(MONDAY);
        assertThat(both.todo().note()).isEqualTo("Tasks said: “Send plan B”; reply by Tue 10 Mar 2026 14:00");
        assertThat(both.clashes()).hasSize(2);
    }

    @Test
    void whatBothHaveChangedAlikeIsNoClash() {
        Todo same = todo("Send all plans", MONDAY, FollowUpState.DONE, "x");
        assertThat(merged(same, same)).isEqualTo(new Merged(same, List.of()));
    }

    @Test
    void notesOfBothAreKept() {
        Todo mine = todo("Send the plans", FRIDAY, FollowUpState.OPEN, "Bo has the key");
        Todo theirs = todo("Send the plans", FRIDAY, FollowUpState.OPEN, "Ask Tilda");
        assertThat(merged(mine, theirs).todo().note()).isEqualTo("Bo has the key\n\nAsk Tilda");
        Todo longer = todo("Send the plans", FRIDAY, FollowUpState.OPEN, "Bo has the key, in the drawer");
        assertThat(merged(mine, longer).todo().note()).isEqualTo("Bo has the key, in the drawer");
    }

    @Test
    void whatWasEndedOnBothSidesIsDone() {
        Todo done = todo("Send the plans", FRIDAY, FollowUpState.DONE, "");
        Todo dropped = todo("Send the plans", FRIDAY, FollowUpState.DROPPED, "");
        assertThat(merged(dropped, done).todo().state()).isEqualTo(FollowUpState.DONE);
        assertThat(merged(done, dropped).todo().state()).isEqualTo(FollowUpState.DONE);
    }

    @Test
    void whatWasReopenedHereIsOpen() {
        Todo done = todo("Send the plans", FRIDAY, FollowUpState.DONE, "");
        Todo dropped = todo("Send the plans", FRIDAY, FollowUpState.DROPPED, "");
        Merged both = Merged.of(Optional.of(done), BASE, dropped, "Tasks", ZONE);
        assertThat(both.todo().state()).isEqualTo(FollowUpState.OPEN);
    }

    @Test
    void thoseWhoNeverMetLoseNothing() {
        Todo theirs = todo("Send the plan", MONDAY, FollowUpState.DONE, "");
        Merged both = Merged.of(Optional.empty(), BASE, theirs, "Tasks", ZONE);
        assertThat(both.todo().state()).isEqualTo(FollowUpState.DONE);
        assertThat(both.todo().note()).contains("“Send the plan”").contains("Mon 9 Mar 2026");
    }

    @Test
    void aStartThatCameToLieAfterTheDateGoes() {
        Todo mine = todo("Send the plans", LocalDate.of(2026, 3, 3), FollowUpState.OPEN, "");
        Todo theirs = new Todo(
                "Send the plans",
                FRIDAY,
                null,
                LocalDate.of(2026, 3, 5),
                Priority.NORMAL,
                FollowUpState.OPEN,
                "",
                "",
                "");
        assertThat(merged(mine, theirs).todo().startDay()).isNull();
    }

    /** Whatever both change, each value of either side is what both say, or stands in the note, or nobody changed it. */
    @Test
    void nothingIsLost() {
        Random random = new Random(5);
        String[] words = {"a1", "b2", "c3"};
        for (int i = 0; i < 3_000; i++) {
            Todo base = any(random, words);
            Todo mine = any(random, words);
            Todo theirs = any(random, words);
            Todo both =
                    Merged.of(Optional.of(base), mine, theirs, "Tasks", ZONE).todo();
            Todo other =
                    Merged.of(Optional.of(base), theirs, mine, "Tasks", ZONE).todo();
            for (Todo side : List.of(mine, theirs)) {
                if (!side.title().equals(base.title())) {
                    assertThat(both.title() + both.note()).contains(side.title());
                }
                if (!side.place().equals(base.place())) {
                    assertThat(both.place() + both.note()).contains(side.place());
                }
                if (!side.note().equals(base.note())) {
                    assertThat(both.note()).contains(side.note());
                }
            }
            assertThat(both.state()).as("the same whoever is asked").isEqualTo(other.state());
            assertThat(Merged.of(Optional.of(theirs), both, theirs, "Tasks", ZONE)
                            .todo())
                    .as("once compared, it stays")
                    .isEqualTo(both);
        }
    }

    private static Todo any(Random random, String[] words) {
        FollowUpState[] states = FollowUpState.values();
        return new Todo(
                words[random.nextInt(words.length)],
                FRIDAY.plusDays(random.nextInt(3)),
                null,
                null,
                Priority.NORMAL,
                states[random.nextInt(states.length)],
                "note " + words[random.nextInt(words.length)],
                "",
                "place " + words[random.nextInt(words.length)]);
    }
}
