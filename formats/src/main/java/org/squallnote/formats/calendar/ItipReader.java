package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectProperty;
import com.github.mangstadt.vinnie.io.VObjectPropertyValues;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import org.squallnote.core.invitation.Method;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.invitation.Scheduling.Attendee;
import org.squallnote.core.message.Party;

/** Reads scheduling messages (iTIP, RFC 5546) and what calendars say of who is invited. */
public final class ItipReader {

    private static final int LONGEST_TEXT = 300;
    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_COMMENT = 1_000;
    private static final int LONGEST_UID = 500;
    private static final int LONGEST_TIME = 40;
    private static final int LONGEST_ADDRESS = 320;

    /** Larger meetings are shown with so many. */
    private static final int MOST_ATTENDEES = 200;

    private ItipReader() {}

    /**
     * What a calendar part of a mail says.
     *
     * @param method as the mail says it, which counts (RFC 6047 section 2.4), or what the calendar itself says
     * @param own the zone of whoever reads, for dates and what floats
     * @return absent where it is about no meeting, or cannot be read
     */
    public static Optional<Scheduling> read(String calendar, Optional<String> method, ZoneId own) {
        Optional<Component> whole = Component.calendar(calendar);
        Optional<Method> said =
                method.or(() -> whole.map(it -> it.value("METHOD"))).flatMap(Method::of);
        return said.isEmpty() ? Optional.empty() : whole.flatMap(it -> meeting(it, said.get(), own));
    }

    /** What an object of a calendar says, as if its organizer had just said it. */
    public static Optional<Scheduling> ofCalendar(String object, ZoneId own) {
        return Component.calendar(object).flatMap(it -> meeting(it, Method.REQUEST, own));
    }

    private static Optional<Scheduling> meeting(Component calendar, Method method, ZoneId own) {
        // Of a series with exceptions the series itself is what somebody is asked about.
        Optional<Component> event =
                calendar.parts("VEVENT").stream().min(Comparator.comparing(each -> each.value("RECURRENCE-ID")));
        return event.flatMap(it -> scheduling(it, calendar.zones(), method, own));
    }

    private static Optional<Scheduling> scheduling(Component event, TimeZones zones, Method method, ZoneId own) {
        Properties said = event.properties();
        String uid = event.value("UID");
        if (uid.isEmpty() || uid.length() > LONGEST_UID) {
            return Optional.empty();
        }
        Instant from = Instant.EPOCH;
        Instant to = Instant.EPOCH;
        boolean allDay = false;
        try {
            CalendarEvent times = CalendarEvent.read(said, zones);
            from = times.start().at(own.getRules());
            to = times.endOf(times.start().local(), own.getRules());
            allDay = times.start().dateOnly();
        } catch (UnreadableEventException e) {
            // Answers and cancellations may name the meeting only by its UID.
            if (method == Method.REQUEST || method == Method.COUNTER) {
                return Optional.empty();
            }
        }
        return Optional.of(new Scheduling(
                method,
                uid,
                cut(event.value("RECURRENCE-ID"), LONGEST_TIME),
                sequence(event.value("SEQUENCE")),
                stamp(event.value("DTSTAMP")),
                said.first("ORGANIZER").map(ItipReader::party).orElse(new Party("", "")),
                said.all("ATTENDEE").stream()
                        .limit(MOST_ATTENDEES)
                        .map(ItipReader::attendee)
                        .filter(each -> !each.party().address().isEmpty())
                        .toList(),
                said.text("SUMMARY", LONGEST_TEXT),
                said.text("LOCATION", LONGEST_TEXT),
                from,
                to,
                allDay,
                said.first("RRULE").isPresent() || said.first("RDATE").isPresent(),
                said.text("COMMENT", LONGEST_COMMENT)));
    }

    private static Attendee attendee(VObjectProperty property) {
        String role = property.getParameters().first("ROLE");
        return new Attendee(
                party(property),
                Participation.of(property.getParameters().first("PARTSTAT")),
                "OPT-PARTICIPANT".equalsIgnoreCase(role) || "NON-PARTICIPANT".equalsIgnoreCase(role));
    }

    private static Party party(VObjectProperty property) {
        String name = property.getParameters().first("CN");
        return new Party(
                name == null
                        ? ""
                        : cut(
                                VObjectPropertyValues.unescape(name)
                                        .replaceAll("[\\s\\p{Cntrl}]+", " ")
                                        .strip(),
                                LONGEST_NAME),
                address(property));
    }

    /** The mail address of a calendar user, lower case; empty where it is none. */
    static String address(VObjectProperty property) {
        String value = property.getValue().strip().toLowerCase(Locale.ROOT);
        String address = value.startsWith("mailto:") ? value.substring("mailto:".length()) : value;
        if (!address.contains("@")) {
            String mail = property.getParameters().first("EMAIL");
            address = mail == null ? "" : mail.strip().toLowerCase(Locale.ROOT);
        }
        return address.length() > LONGEST_ADDRESS || address.contains(" ") ? "" : address;
    }

    private static int sequence(String value) {
        return value.matches("\\d{1,9}") ? Integer.parseInt(value) : 0;
    }

    private static Instant stamp(String value) {
        try {
            return value.isEmpty()
                    ? Instant.EPOCH
                    : Moment.read(value, Optional.empty()).at(ZoneOffset.UTC.getRules());
        } catch (UnreadableEventException e) {
            return Instant.EPOCH;
        }
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }
}
