package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.calendar.StoredObject;
import org.squallnote.store.calendar.CalendarStore;

class CalendarStoreTest extends StoreTest {

    private static final Instant NINE = Instant.parse("2026-03-04T09:00:00Z");

    @Autowired
    private CalendarStore calendars;

    private Calendar calendar;

    @BeforeEach
    void insert() {
        calendar = new Calendar(
                UUID.randomUUID(),
                owner,
                source,
                "berths.ics",
                "Berths",
                CalendarUse.BUSY,
                "",
                NINE,
                "Europe/London",
                NINE,
                true,
                false,
                0);
        calendars.insert(calendar);
    }

    private Meeting meeting(String title, int hours, int lasting) {
        return new Meeting(
                calendar.id(),
                title,
                title,
                "Quay",
                NINE.plusSeconds(hours * 3600L),
                NINE.plusSeconds((hours + lasting) * 3600L),
                false,
                true,
                true);
    }

    @Test
    void calendarsBelongToTheirOwnerAndChangeByVersion() {
        assertThat(calendars.of(owner)).containsExactly(calendar);
        assertThat(calendars.of(stranger)).isEmpty();
        assertThat(calendars.byId(stranger, calendar.id())).isEmpty();
        assertThat(calendars.byHref(owner, source, "berths.ics")).contains(calendar);
        Calendar shown = calendar.with("Moorings", CalendarUse.SHOWN);
        assertThat(calendars.update(shown)).isEqualTo(1);
        assertThat(calendars.update(shown)).isZero();
        calendars.noteRead(owner, calendar.id(), "token", NINE.plusSeconds(1));
        calendars.noteWorked(owner, calendar.id(), "Europe/Berlin", NINE.plusSeconds(2));
        Calendar now = calendars.byId(owner, calendar.id()).orElseThrow();
        assertThat(now.name()).isEqualTo("Moorings");
        assertThat(now.syncToken()).isEqualTo("token");
        assertThat(now.workedIn()).isEqualTo("Europe/Berlin");
    }

    @Test
    void meetingsOfASpanAreThoseThatReachIntoIt() {
        calendars.insertMeeting(owner, "a", meeting("before", -3, 1));
        calendars.insertMeeting(owner, "b", meeting("into", -1, 2));
        calendars.insertMeeting(owner, "c", meeting("within", 2, 1));
        calendars.insertMeeting(owner, "d", meeting("after", 8, 1));
        assertThat(calendars.meetings(owner, NINE, NINE.plusSeconds(8 * 3600)))
                .extracting(Meeting::title)
                .containsExactly("into", "within");
        assertThat(calendars.meetings(owner, NINE, NINE.plusSeconds(8 * 3600)).get(1))
                .isEqualTo(meeting("within", 2, 1));
        assertThat(calendars.meetings(stranger, NINE, NINE.plusSeconds(8 * 3600)))
                .isEmpty();
        calendars.update(calendar.with("Berths", CalendarUse.HIDDEN));
        assertThat(calendars.meetings(owner, NINE, NINE.plusSeconds(8 * 3600))).isEmpty();
    }

    @Test
    void anObjectGoesWithItsTimes() {
        calendars.insertObject(owner, new StoredObject(calendar.id(), "a", "uid-a", "1", "BEGIN:VCALENDAR"));
        calendars.insertObject(owner, new StoredObject(calendar.id(), "b", "uid-b", "", "BEGIN:VCALENDAR"));
        calendars.insertMeeting(owner, "a", meeting("a", 1, 1));
        calendars.insertMeeting(owner, "b", meeting("b", 1, 1));
        calendars.removeObject(owner, calendar.id(), "a");
        assertThat(calendars.objects(owner, calendar.id()))
                .containsExactly(new StoredObject(calendar.id(), "b", "uid-b", "", "BEGIN:VCALENDAR"));
        assertThat(calendars.states(owner, calendar.id()).get(0).body()).isEmpty();
        assertThat(calendars.objects(stranger, calendar.id())).isEmpty();
        assertThat(calendars.meetings(owner, NINE, NINE.plusSeconds(8 * 3600)))
                .extracting(Meeting::title)
                .containsExactly("b");
        calendars.deleteAllMeetings(owner, calendar.id());
        calendars.deleteAllObjects(owner, calendar.id());
        assertThat(calendars.delete(stranger, calendar.id())).isZero();
        assertThat(calendars.delete(owner, calendar.id())).isEqualTo(1);
    }
}
