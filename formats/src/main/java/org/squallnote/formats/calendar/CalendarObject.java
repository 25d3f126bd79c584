package org.squallnote.formats.calendar;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.squallnote.core.calendar.Meeting;

/** Everything that a calendar says of one event: all components with its UID. */
public final class CalendarObject {

    /** No event takes place more often in any span that is asked for; what comes after is left out. */
    public static final int MOST_TIMES = 2_000;

    private final String uid;
    private final List<CalendarEvent> events;
    private final String text;

    CalendarObject(String uid, List<CalendarEvent> events, String text) {
        this.uid = uid;
        this.events = List.copyOf(events);
        this.text = text;
    }

    /** Its UID, bounded. */
    public String uid() {
        return uid;
    }

    /** It as a calendar of its own (RFC 5545 section 3.4), with the time zones it needs. */
    public String text() {
        return text;
    }

    /**
     * The times at which it takes place, in order, that end after a moment and begin before another.
     *
     * @param own the zone of whoever looks, for dates and what floats
     * @param mine my addresses, lower case; what I have declined takes no time
     */
    public List<Meeting> times(UUID calendarId, ZoneId own, Instant from, Instant to, Set<String> mine) {
        return new Working(calendarId, own.getRules(), from, to, mine).all();
    }

    private final class Working {

        private final UUID calendarId;
        private final ZoneRules own;
        private final Instant from;
        private final Instant to;
        private final Set<String> mine;
        private final List<Meeting> found = new ArrayList<>();
        private final Map<Instant, CalendarEvent> instead = new HashMap<>();
        private final NavigableMap<Instant, CalendarEvent> changes = new TreeMap<>();

        Working(UUID calendarId, ZoneRules own, Instant from, Instant to, Set<String> mine) {
            this.calendarId = calendarId;
            this.own = own;
            this.from = from;
            this.to = to;
            this.mine = mine;
        }

        List<Meeting> all() {
            for (CalendarEvent event : events) {
                event.instead().ifPresent(moment -> {
                    instead.putIfAbsent(moment.at(own), event);
                    if (event.andFollowing()) {
                        changes.putIfAbsent(moment.at(own), event);
                    }
                });
            }
            for (CalendarEvent event : events) {
                if (event.instead().isPresent()) {
                    add(event, event.start().local());
                } else {
                    series(event);
                }
            }
            found.sort(Comparator.comparing(Meeting::fromInclusive).thenComparing(Meeting::title));
            return List.copyOf(found);
        }

        private void series(CalendarEvent event) {
            Set<Instant> except = new HashSet<>();
            Set<LocalDateTime> exceptDays = new HashSet<>();
            for (Moment moment : event.except()) {
                if (moment.dateOnly()) {
                    exceptDays.add(moment.local());
                } else {
                    except.add(moment.at(own));
                }
            }
            ZoneRules zone = event.start().zone().orElse(own);
            for (LocalDateTime time : begins(event, zone)) {
                Instant at = Moment.at(time, zone);
                boolean gone = except.contains(at)
                        || exceptDays.contains(time.toLocalDate().atStartOfDay())
                        || instead.containsKey(at);
                if (!gone) {
                    Optional<CalendarEvent> changed = changedFrom(at);
                    if (changed.isPresent()) {
                        addMoved(changed.get(), time);
                    } else {
                        add(event, time);
                    }
                }
            }
        }

        /** When the times of a series begin that could be seen, on its own clock; none twice. */
        private Set<LocalDateTime> begins(CalendarEvent event, ZoneRules zone) {
            Set<LocalDateTime> begins = new HashSet<>();
            begins.add(event.start().local());
            for (Moment moment : event.more()) {
                begins.add(
                        moment.dateOnly() || moment.zone().isEmpty()
                                ? moment.local()
                                : onTheWall(moment.at(own), zone));
            }
            // A day more on both sides, for the zones; and what is long began long ago.
            Duration length = Duration.between(
                    event.start().at(own), event.endOf(event.start().local(), own));
            LocalDateTime first = onTheWall(from, zone).minus(length).minusDays(1);
            LocalDateTime last = onTheWall(to, zone).plusDays(1);
            for (SeriesRule rule : event.rules()) {
                begins.addAll(rule.times(event.start(), own, first, last, MOST_TIMES));
            }
            return begins;
        }

        private static LocalDateTime onTheWall(Instant at, ZoneRules zone) {
            ZoneOffset offset = zone.getOffset(at);
            return LocalDateTime.ofEpochSecond(at.getEpochSecond(), 0, offset);
        }

        /** What one time had changed for all that follow. */
        private Optional<CalendarEvent> changedFrom(Instant at) {
            return Optional.ofNullable(changes.lowerEntry(at)).map(Map.Entry::getValue);
        }

        private void addMoved(CalendarEvent changed, LocalDateTime time) {
            Duration by = Duration.between(
                    changed.instead().orElseThrow().local(), changed.start().local());
            add(changed, time.plus(by));
        }

        private void add(CalendarEvent event, LocalDateTime begins) {
            Instant start = Moment.at(begins, event.start().zone().orElse(own));
            Instant end = event.endOf(begins, own);
            boolean seen = start.isBefore(to) && (end.isAfter(from) || (end.equals(start) && !start.isBefore(from)));
            if (event.cancelled() || !seen || found.size() >= MOST_TIMES) {
                return;
            }
            boolean declined = event.declinedBy().stream().anyMatch(mine::contains);
            found.add(new Meeting(
                    calendarId,
                    uid,
                    event.title(),
                    event.place(),
                    start,
                    end,
                    event.start().dateOnly(),
                    event.tentative(),
                    !event.transparent() && !declined));
        }
    }
}
