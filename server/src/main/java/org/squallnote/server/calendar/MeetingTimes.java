package org.squallnote.server.calendar;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.calendar.StoredObject;
import org.squallnote.formats.calendar.CalendarObject;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.source.SourceStore;

/** Works out when the events of calendars take place, for some weeks back and a good year ahead. */
@Component
class MeetingTimes {

    private static final Duration BACK = Duration.ofDays(62);
    private static final Duration AHEAD = Duration.ofDays(430);

    /** So much ahead has to be known; then it is worked out again. */
    private static final Duration KNOWN_AHEAD = Duration.ofDays(400);

    private final CalendarStore store;
    private final SourceStore sources;

    MeetingTimes(CalendarStore store, SourceStore sources) {
        this.store = store;
        this.sources = sources;
    }

    boolean runsOut(Calendar calendar, Instant now) {
        return calendar.workedTo().isBefore(now.plus(KNOWN_AHEAD));
    }

    /** Works out a whole calendar anew. */
    void workOut(Calendar calendar, ZoneId zone, Instant now) {
        UUID owner = calendar.owner();
        Set<String> mine = mine(owner);
        store.deleteAllMeetings(owner, calendar.id());
        for (StoredObject object : store.objects(owner, calendar.id())) {
            insert(owner, object.href(), times(calendar.id(), object.body(), zone, now, mine));
        }
        store.noteWorked(owner, calendar.id(), zone.getId(), now.plus(AHEAD));
    }

    /** Puts an object in, or in the place of what it was. */
    void put(Calendar calendar, StoredObject object, List<CalendarObject> events, Set<String> mine, Instant now) {
        UUID owner = calendar.owner();
        store.removeObject(owner, calendar.id(), object.href());
        store.insertObject(owner, object);
        ZoneId zone = ZoneId.of(calendar.workedIn());
        for (CalendarObject event : events) {
            insert(owner, object.href(), event.times(calendar.id(), zone, now.minus(BACK), calendar.workedTo(), mine));
        }
    }

    /** Until when the times of a calendar that begins now are worked out. */
    static Instant ahead(Instant now) {
        return now.plus(AHEAD);
    }

    /** My addresses, by which a calendar knows what I have declined. */
    Set<String> mine(UUID owner) {
        return sources.addresses(owner).stream().collect(Collectors.toUnmodifiableSet());
    }

    private void insert(UUID owner, String href, List<Meeting> meetings) {
        meetings.forEach(meeting -> store.insertMeeting(owner, href, meeting));
    }

    private static List<Meeting> times(UUID calendarId, String body, ZoneId zone, Instant now, Set<String> mine) {
        try {
            return CalendarReader.read(new StringReader(body)).objects().stream()
                    .flatMap(event -> event.times(calendarId, zone, now.minus(BACK), now.plus(AHEAD), mine).stream())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
