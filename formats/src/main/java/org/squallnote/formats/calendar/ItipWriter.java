package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectParameters;
import com.github.mangstadt.vinnie.VObjectProperty;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.message.Party;

/** Answers scheduling messages (iTIP, RFC 5546), and puts what they say into a calendar. */
public final class ItipWriter {

    private static final DateTimeFormatter UTC =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'", Locale.ROOT).withZone(ZoneOffset.UTC);

    /** What an answer says again of the meeting (RFC 5546 section 3.2.3), for those who have lost it. */
    private static final List<String> NAMED =
            List.of("UID", "RECURRENCE-ID", "ORGANIZER", "SEQUENCE", "DTSTART", "DTEND", "DURATION", "SUMMARY");

    private static final List<String> PROPOSED =
            List.of("UID", "RECURRENCE-ID", "ORGANIZER", "SEQUENCE", "SUMMARY", "LOCATION", "ATTENDEE");

    private ItipWriter() {}

    /**
     * Somebody who answers.
     *
     * @param me who it is, with the address that the answer goes out from
     * @param mine all addresses by which I may be invited, lower case
     */
    public record Answering(Party me, Set<String> mine) {

        /** Copies the set. */
        public Answering {
            mine = Set.copyOf(mine);
        }
    }

    /**
     * An answer: METHOD:REPLY (RFC 5546 section 3.2.3).
     *
     * @param invitation as it came
     * @param note what is said with it; empty for nothing
     */
    public static String reply(String invitation, Answering who, Participation answer, String note, Instant now) {
        Component calendar = read(invitation);
        Component reply = envelope("REPLY", calendar);
        for (Component event : asked(calendar)) {
            Component mine = new Component("VEVENT");
            copy(event, mine, NAMED);
            mine.add(answered(event, who, answer));
            finish(mine, note, now);
            reply.add(mine);
        }
        return reply.text();
    }

    /** Proposes another time: METHOD:COUNTER (RFC 5546 section 3.2.7). */
    public static String counter(String invitation, Answering who, Instant from, Instant to, String note, Instant now) {
        Component calendar = read(invitation);
        Component counter = envelope("COUNTER", calendar);
        Component event = asked(calendar).get(0);
        Component mine = new Component("VEVENT");
        copy(event, mine, PROPOSED);
        VObjectProperty me = answered(event, who, Participation.TENTATIVE);
        Optional<VObjectProperty> before = attendee(mine, who.mine());
        before.ifPresentOrElse(old -> mine.replace(old, me), () -> mine.add(me));
        mine.set("DTSTART", UTC.format(from));
        mine.set("DTEND", UTC.format(to));
        finish(mine, note, now);
        counter.add(mine);
        return counter.text();
    }

    /**
     * What a calendar is to say of a meeting after it was answered, changed or called off.
     *
     * @param before what it says now; what I have added to it, as alarms, stays
     * @param said the newest scheduling message of its organizer
     * @param answer mine; absent where it was called off
     * @return absent where nothing has to be written
     */
    public static Optional<String> intoCalendar(
            Optional<String> before, String said, Answering who, Optional<Participation> answer) {
        Component news = read(said);
        Optional<Component> there = before.flatMap(Component::calendar);
        boolean declined = answer.equals(Optional.of(Participation.DECLINED));
        if (there.isEmpty() && (answer.isEmpty() || declined)) {
            return Optional.empty();
        }
        Component calendar = there.map(Component::copy).orElseGet(() -> {
            Component fresh = envelope("", news);
            news.parts("VEVENT").forEach(event -> fresh.add(event.copy()));
            return fresh;
        });
        calendar.clear("METHOD");
        for (Component event : news.parts("VEVENT")) {
            put(calendar, news, event, who, answer);
        }
        String text = calendar.text();
        return there.map(Component::text).filter(text::equals).isPresent() ? Optional.empty() : Optional.of(text);
    }

    /** Whether a calendar says the same already; servers write lines their own way. */
    public static boolean same(Optional<String> there, String wanted) {
        return there.flatMap(Component::calendar)
                .map(Component::text)
                .equals(Component.calendar(wanted).map(Component::text));
    }

    private static void put(
            Component calendar, Component news, Component said, Answering who, Optional<Participation> answer) {
        String time = said.value("RECURRENCE-ID");
        Optional<Component> known = calendar.parts("VEVENT").stream()
                .filter(each -> each.value("RECURRENCE-ID").equals(time))
                .findFirst();
        if (answer.isEmpty()) {
            Component off = known.orElseGet(() -> added(calendar, said));
            off.set("STATUS", "CANCELLED");
            off.set("SEQUENCE", said.value("SEQUENCE").isEmpty() ? "0" : said.value("SEQUENCE"));
            return;
        }
        Component event = known.orElseGet(() -> added(calendar, said));
        if (number(said.value("SEQUENCE")) >= number(event.value("SEQUENCE"))) {
            event.takeProperties(said.copy());
            for (Component zone : news.parts("VTIMEZONE")) {
                boolean there = calendar.parts("VTIMEZONE").stream()
                        .anyMatch(each -> each.value("TZID").equals(zone.value("TZID")));
                if (!there) {
                    calendar.add(zone.copy());
                }
            }
        }
        VObjectProperty me = answered(event, who, answer.get());
        attendee(event, who.mine()).ifPresentOrElse(old -> event.replace(old, me), () -> event.add(me));
        // The answer goes out by mail; a server that schedules by itself would send another one (RFC 6638 section 7.1).
        event.properties()
                .first("ORGANIZER")
                .ifPresent(organizer -> event.replace(organizer, with(organizer, "SCHEDULE-AGENT", "CLIENT")));
    }

    private static Component added(Component calendar, Component event) {
        Component copy = event.copy();
        calendar.add(copy);
        return copy;
    }

    private static int number(String sequence) {
        return sequence.matches("\\d{1,9}") ? Integer.parseInt(sequence) : 0;
    }

    private static Component read(String calendar) {
        return Component.calendar(calendar)
                .filter(it -> !it.parts("VEVENT").isEmpty())
                .orElseThrow(() -> new IllegalArgumentException("This is no invitation to a meeting."));
    }

    /** Of a series with exceptions the series is answered. */
    private static List<Component> asked(Component calendar) {
        List<Component> events = calendar.parts("VEVENT");
        List<Component> whole = events.stream()
                .filter(each -> each.value("RECURRENCE-ID").isEmpty())
                .toList();
        return whole.isEmpty() ? events : whole;
    }

    private static Component envelope(String method, Component original) {
        Component calendar = new Component("VCALENDAR");
        calendar.set("PRODID", "-//Squallnote//Invitations//EN");
        if (!method.isEmpty()) {
            calendar.set("METHOD", method);
        }
        original.parts("VTIMEZONE").forEach(zone -> calendar.add(zone.copy()));
        return calendar;
    }

    private static void copy(Component from, Component to, List<String> names) {
        Component copy = from.copy();
        for (VObjectProperty property : copy.properties().all()) {
            if (names.contains(property.getName().toUpperCase(Locale.ROOT))) {
                to.add(property);
            }
        }
    }

    private static void finish(Component event, String note, Instant now) {
        event.set("DTSTAMP", UTC.format(now));
        if (!note.isBlank()) {
            event.say("COMMENT", note.strip());
        }
    }

    private static Optional<VObjectProperty> attendee(Component event, Set<String> mine) {
        return event.properties().all("ATTENDEE").stream()
                .filter(each -> mine.contains(ItipReader.address(each)))
                .findFirst();
    }

    /** Me as one who is invited, with an answer; by the address that I was invited by, or else the one I answer from. */
    private static VObjectProperty answered(Component event, Answering who, Participation answer) {
        VObjectProperty me = attendee(event, who.mine()).orElseGet(() -> {
            VObjectParameters parameters = new VObjectParameters();
            if (!who.me().name().isEmpty()) {
                parameters.put("CN", who.me().name().replace("\"", "'"));
            }
            return new VObjectProperty(
                    null, "ATTENDEE", parameters, "mailto:" + who.me().address());
        });
        VObjectProperty answered = with(me, "PARTSTAT", answer.written());
        answered.getParameters().removeAll("RSVP");
        return answered;
    }

    private static VObjectProperty with(VObjectProperty property, String parameter, String value) {
        VObjectParameters parameters = new VObjectParameters(property.getParameters());
        parameters.replace(parameter, value);
        return new VObjectProperty(property.getGroup(), property.getName(), parameters, property.getValue());
    }
}
