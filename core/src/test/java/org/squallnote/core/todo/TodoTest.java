package org.squallnote.core.todo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Party;

class TodoTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final Instant NOW = Instant.parse("2026-03-04T10:40:00Z");
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 9);
    private static final UUID ID = UUID.fromString("00000000-0000-7000-8000-000000000001");

    private static FollowUp followUp(@Nullable LocalDate day, @Nullable LocalTime time, @Nullable LocalDate start) {
        Content content = new Content(
                "Send the plans",
                day,
                time,
                true,
                UUID.fromString("00000000-0000-7000-8000-000000000002"),
                45,
                Priority.HIGH,
                true,
                new Content.Details(
                        start,
                        "Office",
                        List.of(new Party("Bo", "bo@quay.example")),
                        List.of(new Checklist.Item("Copy", true)),
                        "In the van"));
        return FollowUp.again(ID, UUID.randomUUID(), content, NOW);
    }

    @Test
    void whatATaskListCannotSayStaysAsItIs() {
        FollowUp before = followUp(MONDAY, LocalTime.of(14, 0), MONDAY.plusDays(2));
        Todo said = Todo.of(before, "Berths", ZONE);
        assertThat(said.startDay()).as("it would begin after it is due").isNull();
        Todo other = new Todo(
                "Send all plans",
                said.dueDay(),
                said.dueAt(),
                said.startDay(),
                said.priority(),
                said.state(),
                said.note(),
                said.category(),
                said.place());
        FollowUp after = other.onto(before, said, ZONE, null, NOW);
        assertThat(after.title()).isEqualTo("Send all plans");
        assertThat(after).usingRecursiveComparison().ignoringFields("title").isEqualTo(before);
    }

    @Test
    void aTimeMeansTheSameMomentEverywhere() {
        Todo said = Todo.of(followUp(LocalDate.of(2026, 7, 1), LocalTime.of(14, 0), null), "", ZONE);
        assertThat(said.dueAt()).isEqualTo(Instant.parse("2026-07-01T13:00:00Z"));
        Content elsewhere = said.asContent(ZoneId.of("America/New_York"), null);
        assertThat(elsewhere.replyDay()).isEqualTo(LocalDate.of(2026, 7, 1));
        assertThat(elsewhere.replyTime()).isEqualTo(LocalTime.of(9, 0));
    }

    @Test
    void whatIsDoneThereIsDoneHereAndTheOtherWayRound() {
        FollowUp before = followUp(MONDAY, null, null);
        Todo said = Todo.of(before, "", ZONE);
        Todo done = new Todo(
                said.title(),
                said.dueDay(),
                null,
                null,
                said.priority(),
                FollowUpState.DONE,
                said.note(),
                "",
                said.place());
        FollowUp after = done.onto(before, said, ZONE, null, NOW);
        assertThat(after.state()).isEqualTo(FollowUpState.DONE);
        assertThat(after.endedAt()).isEqualTo(NOW);
        FollowUp again = said.onto(after, done, ZONE, null, NOW);
        assertThat(again.state()).isEqualTo(FollowUpState.OPEN);
        assertThat(again.endedAt()).isNull();
    }

    @Test
    void anUidNamesItsFollowUp() {
        assertThat(Todo.followUpOf(Todo.uid(ID))).contains(ID);
        assertThat(Todo.followUpOf("follow-up-x@tasks.squallnote.invalid")).isEmpty();
        assertThat(Todo.followUpOf("20260304T1040@elsewhere.example")).isEmpty();
    }

    private static TodoLink link(String uid, @Nullable UUID followUp, @Nullable Todo base, String seen) {
        return new TodoLink(UUID.randomUUID(), UUID.randomUUID(), uid, followUp, base, 0, seen);
    }

    @Test
    void whatIsToBeDoneFollowsFromWhoHasIt() {
        Todo open = Todo.of(followUp(MONDAY, null, null), "", ZONE);
        Todo changed = Todo.of(followUp(MONDAY.plusDays(1), null, null), "", ZONE);
        Todo done = Todo.of(followUp(MONDAY, null, null).ended(FollowUpState.DONE, NOW), "", ZONE);
        Optional<TodoLink> own = Optional.of(link(Todo.uid(ID), ID, open, "e1"));
        Optional<TodoLink> foreign = Optional.of(link("there@elsewhere.example", ID, open, "e1"));
        Optional<TodoLink> none = Optional.of(link("there@elsewhere.example", null, null, "e1"));
        Optional<TodoLink> unwritten = Optional.of(link(Todo.uid(ID), ID, null, ""));

        assertThat(TodoStep.of(own, Optional.of(open), Optional.of(changed))).isEqualTo(TodoStep.MERGE);
        assertThat(TodoStep.of(Optional.empty(), Optional.of(open), Optional.empty()))
                .isEqualTo(TodoStep.WRITE);
        assertThat(TodoStep.of(unwritten, Optional.of(open), Optional.empty())).isEqualTo(TodoStep.WRITE);
        assertThat(TodoStep.of(own, Optional.of(open), Optional.empty()))
                .as("taken away there")
                .isEqualTo(TodoStep.DROP);
        assertThat(TodoStep.of(own.map(it -> it.left("e1")), Optional.of(open), Optional.empty()))
                .as("taken back, and made again")
                .isEqualTo(TodoStep.WRITE);
        assertThat(TodoStep.of(own, Optional.of(changed), Optional.empty()))
                .as("taken away there, changed here")
                .isEqualTo(TodoStep.WRITE);
        assertThat(TodoStep.of(own, Optional.of(done), Optional.empty())).isEqualTo(TodoStep.PART);
        assertThat(TodoStep.of(Optional.empty(), Optional.empty(), Optional.of(open)))
                .isEqualTo(TodoStep.TAKE_IN);
        assertThat(TodoStep.of(Optional.empty(), Optional.empty(), Optional.of(done)))
                .isEqualTo(TodoStep.LEAVE);
        assertThat(TodoStep.of(none, Optional.empty(), Optional.of(open)))
                .as("reopened there")
                .isEqualTo(TodoStep.TAKE_IN);
        assertThat(TodoStep.of(own, Optional.empty(), Optional.of(open)))
                .as("its making was taken back")
                .isEqualTo(TodoStep.REMOVE);
        assertThat(TodoStep.of(own.map(it -> it.left("e1")), Optional.empty(), Optional.of(open)))
                .as("that was seen to")
                .isEqualTo(TodoStep.LEAVE);
        assertThat(TodoStep.of(own, Optional.empty(), Optional.of(changed)))
                .as("its making was taken back, and it was changed there")
                .isEqualTo(TodoStep.TAKE_IN);
        assertThat(TodoStep.of(foreign, Optional.empty(), Optional.of(changed)))
                .as("nobody's task is taken away there")
                .isEqualTo(TodoStep.LEAVE);
        assertThat(TodoStep.of(own, Optional.empty(), Optional.empty())).isEqualTo(TodoStep.PART);
    }

    @Test
    void manyThatGoAtOnceAreAMishap() {
        assertThat(TodoStep.isMishap(4, 0)).isFalse();
        assertThat(TodoStep.isMishap(5, 0)).isTrue();
        assertThat(TodoStep.isMishap(5, 20)).isFalse();
    }
}
