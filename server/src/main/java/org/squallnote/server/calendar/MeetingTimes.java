package org.squallnote.server.calendar;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
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
        Span span = new Span(zone, now.minus(BACK), now.plus(AHEAD), mine(owner));
        store.deleteAllMeetings(owner, calendar.id());
        for (StoredObject object : store.objects(owner, calendar.id())) {
            insert(calendar, object.href(), CalendarReader.read(object.body()).objects(), span);
        }
        store.noteWorked(owner, calendar.id(), zone.getId(), span.to());
    }

    /** Puts an object in, or in the place of what it was. */
    void put(Calendar calendar, StoredObject object, List<CalendarObject> events, Set<String> mine, Instant now) {
        UUID owner = calendar.owner();
        store.removeObject(owner, calendar.id(), object.href());
        store.insertObject(owner, object);
        Span span = new Span(ZoneId.of(calendar.workedIn()), now.minus(BACK), calendar.workedTo(), mine);
        insert(calendar, object.href(), events, span);
    }

    /** For which time, in which zone and for whom times are worked out. */
    private record Span(ZoneId zone, Instant from, Instant to, Set<String> mine) {}

    private void insert(Calendar calendar, String href, List<CalendarObject> events, Span span) {
        for (CalendarObject event : events) {
            event.times(calendar.id(), span.zone(), span.from(), span.to(), span.mine())
                    .forEach(meeting -> store.insertMeeting(calendar.owner(), href, meeting));
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
}
