package org.squallnote.server.calendar;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.StoredObject;
import org.squallnote.core.message.Sha256;
import org.squallnote.formats.calendar.CalendarObject;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.formats.calendar.CalendarTodo;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.calendar.CalendarStore;

/** Puts what was read into calendars. Only what has changed is worked out again. */
@Component
public class CalendarContents {

    /** What one event may say at most, in characters. */
    private static final int LONGEST_OBJECT = 900_000;

    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_HREF = 700;
    private static final int LONGEST_ETAG = 500;

    private final CalendarStore store;
    private final MeetingTimes times;
    private final WorkingTimes workingTimes;
    private final LiveEvents live;
    private final UuidV7 ids;
    private final Clock clock;

    CalendarContents(
            CalendarStore store,
            MeetingTimes times,
            WorkingTimes workingTimes,
            LiveEvents live,
            UuidV7 ids,
            Clock clock) {
        this.store = store;
        this.times = times;
        this.workingTimes = workingTimes;
        this.live = live;
        this.ids = ids;
        this.clock = clock;
    }

    /** What came of it. */
    public record Outcome(int put, int known, int gone) {}

    /** The calendar of a source at a place, made when there is none. */
    public Calendar calendar(UUID owner, UUID sourceId, String href, String name) {
        return calendar(owner, sourceId, href, name, true, false);
    }

    /**
     * The same with what it takes.
     *
     * @param events whether events may stand in it
     * @param tasks whether tasks may
     */
    public Calendar calendar(UUID owner, UUID sourceId, String href, String name, boolean events, boolean tasks) {
        return store.byHref(owner, sourceId, href).orElseGet(() -> {
            Instant now = clock.instant();
            Calendar made = new Calendar(
                    ids.next(),
                    owner,
                    sourceId,
                    href,
                    name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                    CalendarUse.BUSY,
                    "",
                    now,
                    workingTimes.of(owner).zone().getId(),
                    MeetingTimes.ahead(now),
                    events,
                    tasks,
                    0);
            store.insert(made);
            return made;
        });
    }

    /**
     * Puts events in by their UID.
     *
     * @param whole whether they are all there is, so that what is missing is gone
     */
    public Outcome put(Calendar calendar, List<CalendarObject> events, boolean whole) {
        UUID owner = calendar.owner();
        Map<String, String> before = new HashMap<>();
        store.objects(owner, calendar.id()).forEach(object -> before.put(object.href(), object.body()));
        Set<String> mine = times.mine(owner);
        Instant now = clock.instant();
        Set<String> there = new HashSet<>();
        int put = 0;
        for (CalendarObject event : events) {
            String body = event.text();
            there.add(event.uid());
            if (body.length() <= LONGEST_OBJECT && !body.equals(before.get(event.uid()))) {
                times.put(
                        calendar,
                        new StoredObject(calendar.id(), event.uid(), event.uid(), "", body),
                        List.of(event),
                        mine,
                        now);
                put++;
            }
        }
        int gone = 0;
        if (whole) {
            for (String href : before.keySet()) {
                if (!there.contains(href)) {
                    store.removeObject(owner, calendar.id(), href);
                    gone++;
                }
            }
        }
        if (put + gone > 0) {
            live.changed(owner, Set.of(Topic.CALENDARS));
        }
        return new Outcome(put, events.size() - put, gone);
    }

    /**
     * An object as a server has it.
     *
     * @param body iCalendar; what cannot be read of it has no times
     */
    public record Fetched(String href, String etag, String body) {}

    /** Puts objects in by their place on the server, and takes others away. */
    public void putFetched(Calendar calendar, List<Fetched> fetched, List<String> gone) {
        UUID owner = calendar.owner();
        Set<String> mine = times.mine(owner);
        Instant now = clock.instant();
        for (Fetched each : fetched) {
            if (each.href().length() <= LONGEST_HREF) {
                String body = each.body().length() > LONGEST_OBJECT ? "" : each.body();
                List<CalendarObject> events = CalendarReader.read(body).objects();
                String uid = events.isEmpty()
                        ? CalendarTodo.uidOf(body)
                        : events.get(0).uid();
                times.put(
                        calendar,
                        new StoredObject(calendar.id(), each.href(), uid, state(each), body),
                        events,
                        mine,
                        now);
            }
        }
        gone.forEach(href -> store.removeObject(owner, calendar.id(), href));
        if (!fetched.isEmpty() || !gone.isEmpty()) {
            live.changed(owner, Set.of(Topic.CALENDARS));
        }
    }

    /** Its entity tag; where the server tells none it is told apart by what it says. */
    public static String state(Fetched fetched) {
        String etag = fetched.etag();
        if (etag.isEmpty()) {
            return "says:" + Sha256.of(fetched.body().getBytes(StandardCharsets.UTF_8));
        }
        return etag.length() > LONGEST_ETAG ? etag.substring(0, LONGEST_ETAG) : etag;
    }

    /** Takes a calendar away with everything in it. */
    public void remove(Calendar calendar) {
        store.deleteAllMeetings(calendar.owner(), calendar.id());
        store.deleteAllObjects(calendar.owner(), calendar.id());
        store.delete(calendar.owner(), calendar.id());
        live.changed(calendar.owner(), Set.of(Topic.CALENDARS));
    }
}
