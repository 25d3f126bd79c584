package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.StringReader;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Parameter;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.squallnote.core.invitation.Method;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.message.Party;
import org.squallnote.formats.calendar.ItipWriter.Answering;

/** Invitations are read as they are meant, and answered so that another library reads the answer. */
class ItipTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final Instant NOW = Instant.parse("2026-03-04T10:40:00Z");
    private static final Answering INES = new Answering(
            new Party("Ines Calloway", "ines@merrowquay.example"),
            Set.of("ines@merrowquay.example", "office@merrowquay.example"));

    private static String invitation(String... lines) {
        return String.join(
                "\r\n",
                "BEGIN:VCALENDAR",
                "VERSION:2.0",
                "PRODID:-//Brandt//Yard//EN",
                "METHOD:REQUEST",
                "BEGIN:VTIMEZONE",
                "TZID:Yard time",
                "BEGIN:STANDARD",
                "DTSTART:19700101T000000",
                "TZOFFSETFROM:+0100",
                "TZOFFSETTO:+0100",
                "END:STANDARD",
                "END:VTIMEZONE",
                "BEGIN:VEVENT",
                "UID:crane-1@brandt.example",
                "SEQUENCE:2",
                "DTSTAMP:20260303T080000Z",
                "DTSTART;TZID=Yard time:20260306T100000",
                "DTEND;TZID=Yard time:20260306T113000",
                "SUMMARY:Crane\\, second try",
                "LOCATION:Slipway",
                "ORGANIZER;CN=Tilda Brandt:mailto:Tilda@Brandt.example",
                "ATTENDEE;CN=\"Calloway, Ines\";PARTSTAT=NEEDS-ACTION;RSVP=TRUE:MAILTO:office@merrowquay.example",
                "ATTENDEE;CN=Bo;PARTSTAT=ACCEPTED;ROLE=OPT-PARTICIPANT:mailto:bo@yard.example",
                String.join("\r\n", lines).isEmpty() ? "X-YARD:1" : String.join("\r\n", lines),
                "END:VEVENT",
                "END:VCALENDAR",
                "");
    }

    private static Scheduling read(String calendar) {
        return ItipReader.read(calendar, Optional.empty(), LONDON).orElseThrow();
    }

    private static VEvent event(String calendar) throws Exception {
        Calendar read = new CalendarBuilder().build(new StringReader(calendar));
        return (VEvent) read.getComponents("VEVENT").get(0);
    }

    private static String value(VEvent event, String property) {
        return event.getProperty(property).map(Property::getValue).orElse("");
    }

    @Test
    void aRequestIsReadWithItsZoneAndPeople() {
        Scheduling said = read(invitation());
        assertThat(said.method()).isEqualTo(Method.REQUEST);
        assertThat(said.title()).isEqualTo("Crane, second try");
        assertThat(said.fromInclusive()).isEqualTo("2026-03-06T09:00:00Z");
        assertThat(said.toExclusive()).isEqualTo("2026-03-06T10:30:00Z");
        assertThat(said.sequence()).isEqualTo(2);
        assertThat(said.organizer()).isEqualTo(new Party("Tilda Brandt", "tilda@brandt.example"));
        assertThat(said.attendees())
                .containsExactly(
                        new Scheduling.Attendee(
                                new Party("Calloway, Ines", "office@merrowquay.example"),
                                Participation.NEEDS_ACTION,
                                false),
                        new Scheduling.Attendee(new Party("Bo", "bo@yard.example"), Participation.ACCEPTED, true));
        assertThat(said.repeats()).isFalse();
        assertThat(read(invitation("RRULE:FREQ=WEEKLY")).repeats()).isTrue();
    }

    @Test
    void whatIsNoMeetingIsNone() {
        for (String text : new String[] {
            "",
            "no calendar",
            "BEGIN:VCALENDAR\r\nMETHOD:REQUEST\r\nEND:VCALENDAR\r\n",
            "BEGIN:VCALENDAR\r\nMETHOD:REQUEST\r\nBEGIN:VEVENT\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
            "BEGIN:VCALENDAR\r\nMETHOD:REQUEST\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTART:soon\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
            "BEGIN:VCALENDAR\r\nMETHOD:PUBLISH\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTART:20260306T100000\r\nEND:VEVENT\r\nEND:VCALENDAR",
            "BEGIN:VCALENDAR\r\nMETHOD:REQUEST\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTART:20260306",
            "BEGIN:A\r\n".repeat(50_000),
        }) {
            assertThat(ItipReader.read(text, Optional.empty(), LONDON))
                    .as("%.60s", text)
                    .isEmpty();
        }
    }

    @Test
    void anAnswerNamesMeAloneAndIsReadByAnother() throws Exception {
        String reply = ItipWriter.reply(invitation(), INES, Participation.ACCEPTED, "With pleasure;\nsee you", NOW);
        VEvent event = event(reply);
        assertThat(reply).contains("METHOD:REPLY").doesNotContain("RSVP").doesNotContain("bo@yard");
        assertThat(value(event, "UID")).isEqualTo("crane-1@brandt.example");
        assertThat(value(event, "SEQUENCE")).isEqualTo("2");
        assertThat(value(event, "COMMENT")).isEqualTo("With pleasure;\nsee you");
        Property me = event.getProperty("ATTENDEE").orElseThrow();
        assertThat(me.getValue()).isEqualToIgnoringCase("mailto:office@merrowquay.example");
        assertThat(me.getParameter("PARTSTAT").map(Parameter::getValue).orElse(""))
                .isEqualTo("ACCEPTED");
        Scheduling again = read(reply);
        assertThat(again.method()).isEqualTo(Method.REPLY);
        assertThat(again.attendees()).hasSize(1);
        assertThat(again.fromInclusive()).isEqualTo("2026-03-06T09:00:00Z");
    }

    @Test
    void whoeverWasInvitedThroughAListAnswersAsThemselves() {
        String through = invitation().replace("office@merrowquay.example", "everybody@merrowquay.example");
        assertThat(read(ItipWriter.reply(through, INES, Participation.DECLINED, "", NOW))
                        .attendees())
                .containsExactly(new Scheduling.Attendee(INES.me(), Participation.DECLINED, false));
    }

    @Test
    void anotherTimeIsProposedWithAllWhoAreInvited() throws Exception {
        String counter = ItipWriter.counter(
                invitation("DURATION:PT1H"),
                INES,
                Instant.parse("2026-03-09T13:00:00Z"),
                Instant.parse("2026-03-09T14:30:00Z"),
                "Monday?",
                NOW);
        VEvent event = event(counter);
        assertThat(value(event, "DTSTART")).isEqualTo("20260309T130000Z");
        assertThat(value(event, "DTEND")).isEqualTo("20260309T143000Z");
        assertThat(event.getProperty("DURATION")).isEmpty();
        Scheduling said = read(counter);
        assertThat(said.method()).isEqualTo(Method.COUNTER);
        assertThat(said.attendees()).hasSize(2);
        assertThat(said.comment()).isEqualTo("Monday?");
    }

    private static Optional<String> put(Optional<String> before, String said, Participation answer) {
        return ItipWriter.intoCalendar(before, said, INES, Optional.of(answer));
    }

    @Test
    void itIsWrittenIntoACalendarWithMyAnswerAndWithoutAMethod() throws Exception {
        String written =
                put(Optional.empty(), invitation(), Participation.TENTATIVE).orElseThrow();
        assertThat(written).doesNotContain("METHOD").contains("BEGIN:VTIMEZONE").contains("X-YARD:1");
        Property organizer = event(written).getProperty("ORGANIZER").orElseThrow();
        assertThat(organizer
                        .getParameter("SCHEDULE-AGENT")
                        .map(Parameter::getValue)
                        .orElse(""))
                .isEqualTo("CLIENT");
        assertThat(ItipReader.ofCalendar(written, LONDON).orElseThrow().attendees())
                .anyMatch(each -> each.participation() == Participation.TENTATIVE);
        assertThat(put(Optional.of(written), invitation(), Participation.TENTATIVE))
                .as("the same again changes nothing")
                .isEmpty();
        assertThat(put(Optional.empty(), invitation(), Participation.DECLINED)).isEmpty();
        assertThat(put(Optional.of(written), invitation(), Participation.DECLINED)
                        .orElseThrow())
                .contains("PARTSTAT=DECLINED");
    }

    @Test
    void whatIHaveAddedStaysWhenItMovesAndOlderNewsChangesNothing() {
        String alarm = "BEGIN:VALARM\r\nACTION:DISPLAY\r\nTRIGGER:-PT15M\r\nDESCRIPTION:Boots\r\nEND:VALARM\r\n";
        String mine = put(Optional.empty(), invitation(), Participation.ACCEPTED)
                .orElseThrow()
                .replace("END:VEVENT", alarm + "END:VEVENT");
        String moved = invitation().replace("SEQUENCE:2", "SEQUENCE:3").replace("20260306T1", "20260307T1");
        String after = put(Optional.of(mine), moved, Participation.ACCEPTED).orElseThrow();
        assertThat(after).contains("TRIGGER:-PT15M").contains("20260307T100000");
        String late =
                put(Optional.of(after), invitation(), Participation.ACCEPTED).orElse(after);
        assertThat(late).contains("20260307T100000").doesNotContain("20260306T100000");
    }

    @Test
    void whatIsCalledOffIsMarkedSoAndOneTimeAlone() {
        String series = invitation("RRULE:FREQ=WEEKLY;COUNT=4");
        String mine = put(Optional.empty(), series, Participation.ACCEPTED).orElseThrow();
        String one = invitation("RECURRENCE-ID;TZID=Yard time:20260313T100000")
                .replace("METHOD:REQUEST", "METHOD:CANCEL")
                .replace("20260306T1", "20260313T1");
        String oneOff = ItipWriter.intoCalendar(Optional.of(mine), one, INES, Optional.empty())
                .orElseThrow();
        assertThat(times(mine)).isEqualTo(4);
        assertThat(times(oneOff)).isEqualTo(3);
        String whole = invitation().replace("METHOD:REQUEST", "METHOD:CANCEL").replace("SEQUENCE:2", "SEQUENCE:4");
        assertThat(times(ItipWriter.intoCalendar(Optional.of(mine), whole, INES, Optional.empty())
                        .orElseThrow()))
                .isZero();
        assertThat(ItipWriter.intoCalendar(Optional.empty(), whole, INES, Optional.empty()))
                .isEmpty();
    }

    private static int times(String calendar) {
        return CalendarReader.read(calendar)
                .objects()
                .get(0)
                .times(
                        UUID.randomUUID(),
                        LONDON,
                        Instant.parse("2026-01-01T00:00:00Z"),
                        Instant.parse("2027-01-01T00:00:00Z"),
                        Set.of())
                .size();
    }

    @Test
    void aCrowdAndStrangeNamesStayBounded() {
        StringBuilder crowd = new StringBuilder("X-YARD:2");
        for (int i = 0; i < 1_500; i++) {
            crowd.append("\r\nATTENDEE;CN=\"")
                    .append("n".repeat(200))
                    .append("\":mailto:a")
                    .append(i)
                    .append("@x.example");
        }
        Scheduling said = read(invitation(crowd.toString()));
        assertThat(said.attendees()).hasSize(200);
        assertThat(said.attendees().get(150).party().name()).hasSize(100);
        assertThat(read(invitation().replace("LOCATION:Slipway", "LOCATION:a\u0001b"))
                        .place())
                .isEqualTo("a b");
    }

    @Test
    void whatIsNoInvitationIsNotAnswered() {
        assertThatThrownBy(() -> ItipWriter.reply("Hello", INES, Participation.ACCEPTED, "", NOW))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
