package org.squallnote.server.people;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.PersonNote;
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
        Map<UUID, Map<String, Set<String>>> known = new HashMap<>();
        return ahead(me, DAYS_AHEAD).stream()
                .filter(meeting -> takingPart(me, meeting, known).stream().anyMatch(theirs::contains))
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
        UUID owner = me.accountId();
        Identities identities = addresses.of(owner);
        Map<UUID, Map<String, Set<String>>> known = new HashMap<>();
        return ahead(me, 0).stream()
                .flatMap(meeting -> takingPart(me, meeting, known).stream()
                        .map(identities::person)
                        .distinct()
                        .map(person -> talk(me, meeting, person, notes.of(owner, person)))
                        .filter(talk -> !talk.matters().isEmpty()))
                .limit(MOST)
                .toList();
    }

    private TalkAhead talk(SignedIn me, Meeting meeting, String person, PersonNote note) {
        List<String> matters = note.talk().items().stream()
                .filter(item -> !item.done())
                .map(item -> item.text())
                .toList();
        String name = matters.isEmpty()
                ? ""
                : searching.names(me, person).stream().findFirst().orElse(person);
        return new TalkAhead(MeetingAhead.of(meeting), person, name, matters);
    }

    private List<Meeting> ahead(SignedIn me, int days) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        return calendars.days(me.accountId(), today, today.plusDays(days)).meetings().stream()
                .filter(meeting -> meeting.toExclusive().isAfter(now))
                .sorted(Comparator.comparing(Meeting::fromInclusive))
                .toList();
    }

    /** @param known who takes part in what was looked at before, by calendar and event */
    private Set<String> takingPart(SignedIn me, Meeting meeting, Map<UUID, Map<String, Set<String>>> known) {
        return known.computeIfAbsent(meeting.calendarId(), any -> new HashMap<>())
                .computeIfAbsent(meeting.uid(), uid -> {
                    Set<String> all = new HashSet<>();
                    store.withUid(me.accountId(), meeting.calendarId(), uid)
                            .forEach(object -> all.addAll(Attendees.of(object.body())));
                    return all;
                });
    }
}
