package org.squallnote.server.people;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.people.Identities;
import org.squallnote.formats.calendar.Attendees;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.search.Searching;
import org.squallnote.store.calendar.CalendarStore;

/** Meetings ahead with people, and what is to be talked about there. */
@Component
class MeetingsWith {

    private static final int DAYS_AHEAD = 14;
    private static final int MOST = 10;

    private final Calendars calendars;
    private final CalendarStore store;
    private final KeptAddresses addresses;
    private final KeptNotes notes;
    private final Searching searching;
    private final Clock clock;

    MeetingsWith(
            Calendars calendars,
            CalendarStore store,
            KeptAddresses addresses,
            KeptNotes notes,
            Searching searching,
            Clock clock) {
        this.calendars = calendars;
        this.store = store;
        this.addresses = addresses;
        this.notes = notes;
        this.searching = searching;
        this.clock = clock;
    }

    /** One of them. */
    record MeetingAhead(String title, String place, Instant from, Instant to, boolean allDay) {

        static MeetingAhead of(Meeting meeting) {
            return new MeetingAhead(
                    meeting.title(), meeting.place(), meeting.fromInclusive(), meeting.toExclusive(), meeting.allDay());
        }
    }

    /** Those of the next two weeks in which one of some addresses takes part. */
    List<MeetingAhead> of(SignedIn me, Set<String> theirs) {
        List<Meeting> meetings = ahead(me, DAYS_AHEAD);
        Map<EventKey, Set<String>> takingPart = takingPart(me, meetings);
        return meetings.stream()
                .filter(meeting ->
                        !Collections.disjoint(takingPart.getOrDefault(EventKey.of(meeting), Set.of()), theirs))
                .limit(MOST)
                .map(MeetingAhead::of)
                .toList();
    }

    /**
     * A meeting today with somebody with whom something is to be talked about.
     *
     * @param person an address that names them
     * @param matters what waits for the talk and is not ticked off
     */
    record TalkAhead(MeetingAhead meeting, String person, String name, List<String> matters) {}

    /** Those of today that are not over. */
    List<TalkAhead> talksToday(SignedIn me) {
        Identities identities = addresses.of(me.accountId());
        List<Meeting> meetings = ahead(me, 0);
        Map<EventKey, Set<String>> people = new HashMap<>();
        takingPart(me, meetings)
                .forEach((event, all) -> people.put(
                        event, all.stream().map(identities::person).collect(Collectors.toCollection(TreeSet::new))));
        Map<String, List<String>> matters = notes.matters(
                me.accountId(), people.values().stream().flatMap(Set::stream).collect(Collectors.toSet()));
        return meetings.stream()
                .flatMap(meeting -> people.getOrDefault(EventKey.of(meeting), Set.of()).stream()
                        .filter(matters::containsKey)
                        .map(person -> new TalkAhead(
                                MeetingAhead.of(meeting),
                                person,
                                searching.names(me, person).stream().findFirst().orElse(person),
                                matters.getOrDefault(person, List.of()))))
                .limit(MOST)
                .toList();
    }

    private List<Meeting> ahead(SignedIn me, int days) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        return calendars.days(me.accountId(), today, today.plusDays(days)).meetings().stream()
                .filter(meeting -> meeting.toExclusive().isAfter(now))
                .sorted(Comparator.comparing(Meeting::fromInclusive))
                .toList();
    }

    private record EventKey(UUID calendarId, String uid) {

        static EventKey of(Meeting meeting) {
            return new EventKey(meeting.calendarId(), meeting.uid());
        }
    }

    /** Who takes part in each. */
    private Map<EventKey, Set<String>> takingPart(SignedIn me, List<Meeting> meetings) {
        Set<String> uids = meetings.stream().map(Meeting::uid).collect(Collectors.toSet());
        Map<EventKey, Set<String>> all = new HashMap<>();
        if (!uids.isEmpty()) {
            store.withUids(me.accountId(), uids)
                    .forEach(object -> all.computeIfAbsent(
                                    new EventKey(object.calendarId(), object.uid()), any -> new HashSet<>())
                            .addAll(Attendees.of(object.body())));
        }
        return all;
    }
}
