package org.squallnote.core.reminder;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.reminder.Reminder.Kind;
import org.squallnote.core.time.WorkingTime;

/** When a reminder comes up, and in which words it is set. */
class ReminderTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));

    /** A Wednesday. */
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-03-04T10:40");

    private static final DateContext CONTEXT = new DateContext(NOW, OFFICE, false);

    private static FollowUp followUp(String day, String time) {
        return FollowUp.made(
                UUID.randomUUID(),
                UUID.randomUUID(),
                new Content(
                        "Send the plan",
                        LocalDate.parse(day),
                        time.isEmpty() ? null : LocalTime.parse(time),
                        false,
                        null,
                        null,
                        null,
                        null,
                        null),
                Optional.empty(),
                Instant.EPOCH);
    }

    private static Reminder reminder(Kind kind, String at, Integer minutesBefore, boolean always) {
        return new Reminder(
                UUID.randomUUID(),
                UUID.randomUUID(),
                kind,
                at.isEmpty() ? null : Instant.parse(at),
                minutesBefore,
                always,
                Instant.EPOCH,
                null,
                false);
    }

    private static String due(Reminder reminder, FollowUp followUp) {
        return reminder.due(followUp, Optional.empty(), OFFICE)
                .map(Instant::toString)
                .orElse("");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-05T10:00:00Z, false, 2026-03-05T10:00:00Z",
        "2026-03-05T20:00:00Z, false, 2026-03-06T09:00:00Z",
        "2026-03-07T12:00:00Z, false, 2026-03-09T09:00:00Z",
        "2026-03-07T12:00:00Z, true, 2026-03-07T12:00:00Z",
        "2026-03-05T06:00:00Z, false, 2026-03-05T09:00:00Z",
        "2026-03-05T17:00:00Z, false, 2026-03-06T09:00:00Z",
    })
    void oneAtAMomentComesThenOrWhenWorkBegins(String at, boolean always, String due) {
        assertThat(due(reminder(Kind.AT, at, null, always), followUp("2026-03-10", "")))
                .isEqualTo(due);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-05, 14:00, 60, false, 2026-03-05T13:00:00Z",
        "2026-03-05, '', 60, false, 2026-03-05T16:00:00Z",
        "2026-03-09, 09:30, 60, false, 2026-03-06T17:00:00Z",
        "2026-03-09, 09:30, 60, true, 2026-03-09T08:30:00Z",
        "2026-03-09, 10:00, 1440, false, 2026-03-06T17:00:00Z",
    })
    void oneBeforeADateComesInWorkingTimeAndNotTooLate(
            String day, String time, int minutes, boolean always, String due) {
        assertThat(due(reminder(Kind.BEFORE, "", minutes, always), followUp(day, time)))
                .isEqualTo(due);
    }

    @Test
    void itComesOnceAndOnlyForWhatIsOpen() {
        FollowUp open = followUp("2026-03-10", "");
        Reminder at = reminder(Kind.AT, "2026-03-05T10:00:00Z", null, false);
        assertThat(due(at.shown(Instant.EPOCH), open)).isEmpty();
        assertThat(due(at.seenTo(), open)).isEmpty();
        assertThat(due(at, open.ended(FollowUpState.DONE, Instant.EPOCH))).isEmpty();
        assertThat(due(at.shown(Instant.EPOCH).putOff(Instant.parse("2026-03-07T12:00:00Z")), open))
                .as("who asks for a moment means that one")
                .isEqualTo("2026-03-07T12:00:00Z");
    }

    @Test
    void anAnswerIsToldWhenItComesOrWhenWorkBegins() {
        Reminder answered = reminder(Kind.ANSWERED, "", null, false);
        FollowUp open = followUp("2026-03-10", "");
        assertThat(due(answered, open)).isEmpty();
        assertThat(answered.due(open, Optional.of(Instant.parse("2026-03-07T12:00:00Z")), OFFICE))
                .contains(Instant.parse("2026-03-09T09:00:00Z"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tomorrow 9 | Thu 5 Mar, 09:00 | true",
                "tomorrow | Thu 5 Mar, 09:00 | false",
                "fri 14:30 | Fri 6 Mar, 14:30 | true",
                "in 20 min | Wed 4 Mar, 11:00 | true",
                "in half an hour | Wed 4 Mar, 11:10 | true",
                "in 2 h | Wed 4 Mar, 12:40 | true",
                "in 5 days | Mon 9 Mar, 09:00 | false",
                "1 hour before | 1 hour before its date | false",
                "half an hour before | 30 min before its date | false",
                "2 days before its date | 2 days before its date | false",
                "90 min before | 90 min before its date | false",
                "when somebody answers | when somebody answers | false",
                "when Tilda replies | when somebody answers | false",
                "on an answer | when somebody answers | false",
            })
    void itIsSetInWords(String typed, String said, boolean always) {
        TypedReminder read = TypedReminder.read(typed, CONTEXT).orElseThrow();
        assertThat(TypedReminder.words(read.kind(), read.at(), read.minutesBefore()))
                .isEqualTo(said);
        assertThat(read.always()).isEqualTo(always);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "yesterday", "today 9", "when the moon is full", "before"})
    void whatSaysNoReminderIsNone(String typed) {
        assertThat(TypedReminder.read(typed, CONTEXT)).isEmpty();
    }

    private static final Quiet TWICE = new Quiet(
            List.of(LocalTime.of(14, 0), LocalTime.of(9, 30)),
            true,
            List.of("boss@x.example", "yard.example"),
            List.of("crane"));

    @ParameterizedTest
    @CsvSource({
        "2026-03-04T10:40, '', 2026-03-04T09:30, 2026-03-04T14:00",
        "2026-03-04T14:00, '', 2026-03-04T14:00, 2026-03-05T09:30",
        "2026-03-04T08:00, '', 2026-03-03T14:00, 2026-03-04T09:30",
        "2026-03-08T12:00, '', 2026-03-06T14:00, 2026-03-09T09:30",
        "2026-03-04T10:40, 2026-03-04T10:00, 2026-03-04T09:30, 2026-03-04T14:00",
        "2026-03-04T14:10, 2026-03-04T13:50, 2026-03-04T13:50, 2026-03-05T09:30",
    })
    void whatComesIsHeldBackUntilTheNextSitting(String now, String workingSince, String since, String next) {
        LocalDateTime at = LocalDateTime.parse(now);
        Optional<LocalDateTime> work =
                workingSince.isEmpty() ? Optional.empty() : Optional.of(LocalDateTime.parse(workingSince));
        assertThat(TWICE.heldSince(at, work, OFFICE)).contains(LocalDateTime.parse(since));
        assertThat(TWICE.nextSitting(at, OFFICE)).contains(LocalDateTime.parse(next));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-04T07:59, false",
        "2026-03-04T08:00, true",
        "2026-03-04T11:59, true",
        "2026-03-04T12:00, false",
        "2026-03-07T08:30, false",
    })
    void theDaysPlanIsForTheMorningOfWorkingDays(String now, boolean morning) {
        Wishes eight = new Wishes(0, false, LocalTime.of(8, 0), Quiet.NEVER);
        assertThat(eight.isMorning(LocalDateTime.parse(now), OFFICE)).isEqualTo(morning);
        assertThat(Wishes.USUAL.isMorning(LocalDateTime.parse(now), OFFICE)).isFalse();
    }

    @Test
    void withoutSittingsOnlyWorkHoldsBack() {
        Quiet work = new Quiet(List.of(), true, List.of(), List.of());
        assertThat(work.heldSince(NOW, Optional.empty(), OFFICE)).isEmpty();
        assertThat(work.heldSince(NOW, Optional.of(NOW.minusMinutes(5)), OFFICE))
                .contains(NOW.minusMinutes(5));
        assertThat(Quiet.NEVER.heldSince(NOW, Optional.of(NOW), OFFICE)).isEmpty();
        assertThat(Quiet.NEVER.nextSitting(NOW, OFFICE)).isEmpty();
    }

    @Test
    void peopleAndWordsThatINameAreToldAtOnce() {
        assertThat(TWICE.letsThrough("Boss@x.example", "Hello")).isTrue();
        assertThat(TWICE.letsThrough("gus@yard.example", "Hello")).isTrue();
        assertThat(TWICE.letsThrough("gus@backyard.example", "Hello")).isFalse();
        assertThat(TWICE.letsThrough("tilda@x.example", "Hello", "The CRANE has fallen"))
                .isTrue();
        assertThat(TWICE.letsThrough(null, "Hello")).isFalse();
    }
}
