package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VToDo;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.todo.Todo;

class TodoTextTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final Instant NOW = Instant.parse("2026-03-04T10:40:00Z");
    private static final List<String> CATEGORIES = List.of("Berths", "Gear, and rope");

    private static final Todo FULL = new Todo(
            "Send the plans; all, \"really\" \\ all",
            null,
            Instant.parse("2026-03-09T14:30:00Z"),
            LocalDate.of(2026, 3, 6),
            Priority.HIGH,
            FollowUpState.OPEN,
            "In the van,\nthen by hand; see C:\\plans",
            "Gear, and rope",
            "Office");

    private static final String ELSEWHERE = """
            BEGIN:VCALENDAR
            VERSION:2.0
            PRODID:-//Elsewhere//EN
            BEGIN:VTIMEZONE
            TZID:Quay
            BEGIN:STANDARD
            DTSTART:19700101T000000
            TZOFFSETFROM:+0300
            TZOFFSETTO:+0300
            END:STANDARD
            END:VTIMEZONE
            BEGIN:VTODO
            UID:crane@elsewhere.example
            DTSTAMP:20260301T080000Z
            SUMMARY:Grease the
              crane
            DUE;TZID=Quay:20260309T173000
            DTSTART;TZID=Quay:20260309T173000
            PRIORITY:3
            STATUS:IN-PROCESS
            PERCENT-COMPLETE:40
            CATEGORIES:Yard,berths
            X-ELSEWHERE:42
            BEGIN:VALARM
            ACTION:DISPLAY
            TRIGGER:-PT15M
            END:VALARM
            END:VTODO
            END:VCALENDAR
            """.replace("\n", "\r\n");

    private static Todo read(String body) {
        return CalendarTodo.read(body, ZONE, CATEGORIES).orElseThrow().todo();
    }

    @Test
    void whatWasWrittenIsReadAsItWas() {
        String body = TodoWriter.made("a@b.example", FULL, NOW);
        assertThat(read(body)).isEqualTo(FULL);
        assertThat(CalendarTodo.uidOf(body)).isEqualTo("a@b.example");
    }

    @Test
    void everyStateAndPriorityIsReadAsItWasWritten() {
        for (FollowUpState state : FollowUpState.values()) {
            for (Priority priority : Priority.values()) {
                Todo todo = new Todo("Call", LocalDate.of(2026, 3, 9), null, null, priority, state, "", "", "");
                assertThat(read(TodoWriter.made("a@b.example", todo, NOW))).isEqualTo(todo);
                assertThat(read(TodoWriter.changed(TodoWriter.made("a@b.example", FULL, NOW), FULL, todo, NOW)))
                        .isEqualTo(todo);
            }
        }
    }

    @Test
    void anotherReaderFindsItValid() throws Exception {
        Todo done = new Todo(
                "Call",
                LocalDate.of(2026, 3, 9),
                null,
                LocalDate.of(2026, 3, 5),
                Priority.LOW,
                FollowUpState.DONE,
                "",
                "",
                "");
        for (String body :
                List.of(TodoWriter.made("a@b.example", FULL, NOW), TodoWriter.made("b@b.example", done, NOW))) {
            VToDo task = (VToDo) new CalendarBuilder()
                    .build(new StringReader(body))
                    .getComponents("VTODO")
                    .get(0);
            assertThat(task.validate().getEntries()).isEmpty();
        }
    }

    @Test
    void oneFromElsewhereIsUnderstood() {
        Todo todo = read(ELSEWHERE);
        assertThat(todo.title()).isEqualTo("Grease the crane");
        assertThat(todo.dueAt()).isEqualTo(Instant.parse("2026-03-09T14:30:00Z"));
        assertThat(todo.startDay()).as("it begins when it is due: no start").isNull();
        assertThat(todo.priority()).isEqualTo(Priority.HIGH);
        assertThat(todo.state()).isEqualTo(FollowUpState.OPEN);
        assertThat(todo.category()).isEqualTo("Berths");
    }

    @Test
    void whatElseATaskSaysStays() {
        Todo before = read(ELSEWHERE);
        Todo to = new Todo(
                before.title(),
                LocalDate.of(2026, 3, 10),
                null,
                null,
                before.priority(),
                FollowUpState.DONE,
                before.note(),
                "",
                before.place());
        String written = TodoWriter.changed(ELSEWHERE, before, to, NOW);
        assertThat(read(written)).isEqualTo(to);
        assertThat(written)
                .contains("X-ELSEWHERE:42", "BEGIN:VALARM", "PRIORITY:3", "CATEGORIES:Yard", "SEQUENCE:1")
                .contains("DUE;VALUE=DATE:20260310", "COMPLETED:20260304T104000Z")
                .doesNotContain("DTSTART;TZID", "PERCENT-COMPLETE:40");
    }

    @Test
    void ofANoteThatIsLongerThanCanBeReadTheRestStays() {
        String longNote = "x".repeat(Todo.LONGEST_NOTE - 1) + "and the rest of it";
        String body = ELSEWHERE.replace("X-ELSEWHERE:42", "DESCRIPTION:" + longNote);
        Todo before = read(body);
        assertThat(before.note()).hasSize(Todo.LONGEST_NOTE);
        Todo to = new Todo(
                "Other",
                before.dueDay(),
                before.dueAt(),
                before.startDay(),
                before.priority(),
                before.state(),
                "short",
                before.category(),
                before.place());
        assertThat(TodoWriter.changed(body, before, to, NOW).replace("\r\n ", ""))
                .contains("DESCRIPTION:short\\nand the rest of it");
    }

    @Test
    void whatIsNoTaskOrComesBackByItselfIsKnown() {
        assertThat(CalendarTodo.read("BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n", ZONE, List.of()))
                .isEmpty();
        assertThat(CalendarTodo.read("nothing", ZONE, List.of())).isEmpty();
        assertThat(CalendarTodo.read(ELSEWHERE.replace("SUMMARY:Grease the\r\n  crane\r\n", ""), ZONE, List.of()))
                .isEmpty();
        assertThat(CalendarTodo.read(ELSEWHERE.replace("X-ELSEWHERE:42", "RRULE:FREQ=DAILY"), ZONE, List.of())
                        .orElseThrow()
                        .repeats())
                .isTrue();
        assertThat(CalendarTodo.read(ELSEWHERE.replace("20260309T173000", "soon"), ZONE, List.of())
                        .orElseThrow()
                        .todo()
                        .dueAt())
                .as("a date that nobody can read")
                .isNull();
    }
}
