package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VToDo;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.Due;
import net.fortuna.ical4j.model.property.Uid;
import org.junit.jupiter.api.Test;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.takein.Proposal;
import org.squallnote.core.time.WorkingTime;

class CalendarTasksTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final UUID BERTHS = UUID.randomUUID();
    private static final CaptureContext CONTEXT = new CaptureContext(
            new DateContext(LocalDateTime.of(2026, 3, 4, 10, 40), WorkingTime.officeHours(ZONE), false),
            Map.of("Berths", BERTHS),
            List.of(),
            List.of(),
            "Ines");

    private static CalendarTasks.Read read(String text) {
        return CalendarTasks.read(text, CONTEXT, ZONE, 100);
    }

    @Test
    void whatAnotherLibraryWroteIsRead() {
        VToDo task = new VToDo();
        task.add(new Uid("t-1@elsewhere.example"));
        task.add(new net.fortuna.ical4j.model.property.Summary("Send, the; plans"));
        task.add(new Due<>(LocalDate.of(2026, 3, 9)));
        task.add(new Categories("Berths"));
        Calendar calendar = new Calendar();
        calendar.add(task);
        Proposal read = read(calendar.toString()).tasks().get(0);
        assertThat(read.problems()).isEmpty();
        assertThat(read.content().title()).isEqualTo("Send, the; plans");
        assertThat(read.content().replyDay()).isEqualTo(LocalDate.of(2026, 3, 9));
        assertThat(read.content().categoryId()).isEqualTo(BERTHS);
    }

    @Test
    void severalCalendarsDoneAndBrokenTasksAndEventsBesideThem() {
        CalendarTasks.Read read = read("""
                BEGIN:VCALENDAR
                VERSION:2.0
                BEGIN:VTODO
                SUMMARY:Water the plants
                DUE:20260309T143000Z
                RRULE:FREQ=WEEKLY;BYDAY=MO
                CATEGORIES:Garden
                END:VTODO
                BEGIN:VTODO
                DUE:20260309
                END:VTODO
                BEGIN:VEVENT
                SUMMARY:Lunch
                END:VEVENT
                END:VCALENDAR
                BEGIN:VCALENDAR
                VERSION:2.0
                BEGIN:VTODO
                SUMMARY:Old
                STATUS:COMPLETED
                DUE:someday
                END:VTODO
                END:VCALENDAR
                """);
        assertThat(read.events()).isEqualTo(1);
        assertThat(read.tasks()).extracting(Proposal::line).containsExactly(1, 2, 3);
        Proposal first = read.tasks().get(0);
        assertThat(first.content().replyTime()).isEqualTo(LocalTime.of(14, 30));
        assertThat(first.repeats()).isEqualTo("every Monday");
        assertThat(first.category()).isEqualTo("Garden");
        assertThat(read.tasks().get(1).problems()).containsExactly("Has no title (SUMMARY).");
        assertThat(read.tasks().get(2).taken()).isFalse();
        assertThat(read.tasks().get(2).remarks()).hasSize(2);
    }

    @Test
    void moreTasksThanTheMostAreSaid() {
        String text = "BEGIN:VCALENDAR\nVERSION:2.0\n" + "BEGIN:VTODO\nSUMMARY:x\nEND:VTODO\n".repeat(150)
                + "END:VCALENDAR\n";
        CalendarTasks.Read read = read(text);
        assertThat(read.tasks()).hasSize(100);
        assertThat(read.more()).isTrue();
    }
}
