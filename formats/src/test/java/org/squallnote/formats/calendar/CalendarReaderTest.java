package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.calendar.Meeting;

/** Calendars as they are written, the broken ones too. */
class CalendarReaderTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final UUID CALENDAR = UUID.randomUUID();
    private static final Instant FROM = Instant.parse("2026-03-01T00:00:00Z");
    private static final Instant TO = Instant.parse("2026-05-01T00:00:00Z");

    private static CalendarReader.Result read(String... events) {
        return CalendarReader.read(
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n" + String.join("\r\n", events) + "\r\nEND:VCALENDAR\r\n");
    }

    private static String event(String... lines) {
        return "BEGIN:VEVENT\r\nUID:u1\r\n" + String.join("\r\n", lines) + "\r\nEND:VEVENT";
    }

    private static List<Meeting> times(String... events) {
        return times(Set.of(), events);
    }

    private static List<Meeting> times(Set<String> mine, String... events) {
        return read(events).objects().stream()
                .flatMap(object -> object.times(CALENDAR, LONDON, FROM, TO, mine).stream())
                .toList();
    }

    private static List<String> starts(String... events) {
        return times(events).stream()
                .map(meeting -> meeting.fromInclusive().toString())
                .toList();
    }

    @Test
    void aSingleEventSaysWhatWhereAndWhen() {
        Meeting meeting = times(event(
                        "SUMMARY:Harbour meeting\\, first floor",
                        "LOCATION:Old",
                        "  quay",
                        "DTSTART;TZID=Europe/Berlin:20260310T100000",
                        "DURATION:PT1H30M"))
                .get(0);
        assertThat(meeting.title()).isEqualTo("Harbour meeting, first floor");
        assertThat(meeting.place()).isEqualTo("Old quay");
        assertThat(meeting.fromInclusive()).isEqualTo("2026-03-10T09:00:00Z");
        assertThat(meeting.toExclusive()).isEqualTo("2026-03-10T10:30:00Z");
        assertThat(meeting.opaque()).isTrue();
        assertThat(meeting.tentative()).isFalse();
    }

    @Test
    void aSeriesKeepsItsTimeOnTheWallAcrossAClockChange() {
        assertThat(starts(event("DTSTART;TZID=Europe/London:20260323T090000", "RRULE:FREQ=WEEKLY;COUNT=3")))
                .containsExactly("2026-03-23T09:00:00Z", "2026-03-30T08:00:00Z", "2026-04-06T08:00:00Z");
    }

    @Test
    void whatFloatsIsInTheZoneOfWhoeverLooks() {
        assertThat(starts(event("DTSTART:20260401T090000", "DTEND:20260401T100000")))
                .containsExactly("2026-04-01T08:00:00Z");
    }

    @Test
    void singleTimesAreLeftOutMovedAddedAndChangedFromOneOn() {
        String series = event(
                "SUMMARY:Round",
                "DTSTART:20260302T090000Z",
                "DTEND:20260302T093000Z",
                "RRULE:FREQ=WEEKLY;UNTIL=20260401T000000Z",
                "EXDATE:20260309T090000Z",
                "RDATE:20260311T090000Z");
        String moved = event("SUMMARY:Moved", "RECURRENCE-ID:20260316T090000Z", "DTSTART:20260317T150000Z");
        String fromThen = event(
                "SUMMARY:Later",
                "RECURRENCE-ID;RANGE=THISANDFUTURE:20260323T090000Z",
                "DTSTART:20260323T110000Z",
                "DTEND:20260323T120000Z");
        assertThat(times(series, moved, fromThen))
                .extracting(meeting -> meeting.title() + " " + meeting.fromInclusive())
                .containsExactly(
                        "Round 2026-03-02T09:00:00Z",
                        "Round 2026-03-11T09:00:00Z",
                        "Moved 2026-03-17T15:00:00Z",
                        "Later 2026-03-23T11:00:00Z",
                        "Later 2026-03-30T11:00:00Z");
    }

    @Test
    void aCancelledTimeOfASeriesIsGone() {
        assertThat(starts(
                        event("DTSTART:20260302T090000Z", "RRULE:FREQ=DAILY;COUNT=3"),
                        event("RECURRENCE-ID:20260303T090000Z", "DTSTART:20260303T090000Z", "STATUS:CANCELLED")))
                .containsExactly("2026-03-02T09:00:00Z", "2026-03-04T09:00:00Z");
        assertThat(starts(event("DTSTART:20260302T090000Z", "STATUS:CANCELLED")))
                .isEmpty();
    }

    @Test
    void wholeDaysAreThoseOfWhoeverLooksAndEndBeforeTheirEnd() {
        Meeting meeting = times(event("DTSTART;VALUE=DATE:20260328", "DTEND;VALUE=DATE:20260331"))
                .get(0);
        assertThat(meeting.allDay()).isTrue();
        assertThat(meeting.fromInclusive()).isEqualTo("2026-03-28T00:00:00Z");
        assertThat(meeting.toExclusive()).isEqualTo("2026-03-30T23:00:00Z");
        assertThat(times(event("DTSTART;VALUE=DATE:20260402")).get(0).toExclusive())
                .isEqualTo("2026-04-02T23:00:00Z");
        assertThat(starts(event(
                        "DTSTART;VALUE=DATE:20260301", "RRULE:FREQ=MONTHLY;BYDAY=1SU", "EXDATE;VALUE=DATE:20260301")))
                .containsExactly("2026-04-04T23:00:00Z");
    }

    @Test
    void whatITakeNoPartInTakesNoTime() {
        String declined = event(
                "DTSTART:20260310T090000Z",
                "DTEND:20260310T100000Z",
                "ATTENDEE;PARTSTAT=DECLINED;CN=Ines:mailto:Ines@merrowquay.example");
        assertThat(times(Set.of("ines@merrowquay.example"), declined).get(0).opaque())
                .isFalse();
        assertThat(times(Set.of("bo@merrowquay.example"), declined).get(0).opaque())
                .isTrue();
        assertThat(times(event("DTSTART:20260310T090000Z", "TRANSP:TRANSPARENT"))
                        .get(0)
                        .opaque())
                .isFalse();
        assertThat(times(event("DTSTART:20260310T090000Z", "STATUS:TENTATIVE"))
                        .get(0)
                        .tentative())
                .isTrue();
    }

    @Test
    void aZoneThatNobodyKnowsIsWhatTheCalendarSays() {
        String zone = """
                BEGIN:VTIMEZONE
                TZID:Harbour time
                BEGIN:STANDARD
                DTSTART:16010101T030000
                TZOFFSETFROM:+0545
                TZOFFSETTO:+0445
                RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU
                END:STANDARD
                BEGIN:DAYLIGHT
                DTSTART:16010101T020000
                TZOFFSETFROM:+0445
                TZOFFSETTO:+0545
                RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU
                END:DAYLIGHT
                END:VTIMEZONE""".replace("DTSTART:1601", "DTSTART:1971").replace("\n", "\r\n");
        String series = event("DTSTART;TZID=Harbour time:20260322T120000", "RRULE:FREQ=WEEKLY;COUNT=2");
        assertThat(starts(zone, series)).containsExactly("2026-03-22T07:15:00Z", "2026-03-29T06:15:00Z");
        assertThat(starts(series, zone)).containsExactly("2026-03-22T07:15:00Z", "2026-03-29T06:15:00Z");
        String text = read(zone, series).objects().get(0).text();
        assertThat(CalendarReader.read(text).objects().get(0).times(CALENDAR, LONDON, FROM, TO, Set.of()))
                .extracting(meeting -> meeting.fromInclusive().toString())
                .containsExactly("2026-03-22T07:15:00Z", "2026-03-29T06:15:00Z");
    }

    @Test
    void aPathBeforeAKnownZoneAndAnUnknownOneDoNoHarm() {
        assertThat(starts(event("DTSTART;TZID=/vendor.example/2026/America/New_York:20260310T090000")))
                .containsExactly("2026-03-10T13:00:00Z");
        assertThat(starts(event("DTSTART;TZID=Nowhere:20260310T090000"))).containsExactly("2026-03-10T09:00:00Z");
    }

    @Test
    void whatIsBrokenCostsItselfOnly() {
        CalendarReader.Result result = read(
                event("SUMMARY:Good", "DTSTART:20260310T090000Z"),
                event("SUMMARY:No start").replace("u1", "u2"),
                event("SUMMARY:No date", "DTSTART:tomorrow").replace("u1", "u3"),
                event("SUMMARY:Odd rule", "DTSTART:20260310T090000Z", "RRULE:FREQ=OFTEN")
                        .replace("u1", "u4"),
                "this line is no property",
                event("SUMMARY:Also good", "DTSTART:20260311T090000Z").replace("u1", "u5"));
        assertThat(result.objects()).hasSize(2);
        assertThat(result.unreadable()).isEqualTo(3);
        assertThat(result.problems()).hasSize(3).anyMatch(each -> each.startsWith("No date: "));
        assertThat(CalendarReader.read("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:x\r\nDTSTART:20")
                        .objects())
                .isEmpty();
    }

    @Test
    void rulesWithoutAnEndAndEverySecondOnesAreBounded() {
        for (String rule : List.of(
                "FREQ=SECONDLY",
                "FREQ=MINUTELY;BYSECOND=0,30",
                "FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30",
                "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
                "FREQ=DAILY;INTERVAL=1000000000",
                "FREQ=SECONDLY;COUNT=2000000000")) {
            List<Meeting> times = times(event("DTSTART:19710310T090000Z", "RRULE:" + rule));
            assertThat(times).as(rule).hasSizeLessThanOrEqualTo(CalendarObject.MOST_TIMES);
        }
        assertThat(times(event("DTSTART:19710310T090000Z", "RRULE:FREQ=DAILY"))).hasSize(61);
    }

    @Test
    void longLinesAndManyEventsAreCut() {
        CalendarReader.Result result = read(event(
                "DTSTART:20260310T090000Z",
                "ATTACH;ENCODING=BASE64:" + "QUJD".repeat(100_000) + "\r\n " + "QUJD".repeat(100_000),
                "SUMMARY:After it"));
        assertThat(result.objects().get(0).times(CALENDAR, LONDON, FROM, TO, Set.of()))
                .extracting(Meeting::title)
                .containsExactly("After it");
        assertThat(result.objects().get(0).text().length()).isLessThan(80_000);
    }

    @Test
    void anEventWithoutAUidIsTheSameEachTime() {
        String nameless = event("DTSTART:20260310T090000Z", "SUMMARY:Tide").replace("UID:u1\r\n", "");
        assertThat(read(nameless).objects().get(0).uid())
                .isEqualTo(read(nameless).objects().get(0).uid());
    }

    @Test
    void theNameOfACalendarIsWhatItSays() {
        assertThat(read("X-WR-CALNAME:Berths", "METHOD:publish").name()).isEqualTo("Berths");
        assertThat(read("X-WR-CALNAME:Berths", "NAME:Moorings").name()).isEqualTo("Moorings");
        assertThat(read("NAME:Berths\\, north").name()).isEqualTo("Berths, north");
    }

    @Test
    void aTimeThatAClockChangeSkipsIsCountedWithTheOffsetBeforeIt() {
        assertThat(starts(event("DTSTART;TZID=Europe/London:20260329T013000"))).containsExactly("2026-03-29T01:30:00Z");
        assertThat(Moment.at(LocalDateTime.parse("2026-10-25T01:30"), LONDON.getRules()))
                .isEqualTo("2026-10-25T00:30:00Z");
    }

    @Test
    void aByteOrderMarkAndEmptyLinesMayStandBeforeIt() {
        String calendar = "BEGIN:VCALENDAR\r\n" + event("DTSTART:20260310T090000Z") + "\r\nEND:VCALENDAR\r\n";
        for (String text :
                List.of(calendar, "\uFEFF" + calendar, "\r\n" + calendar, calendar.toLowerCase(Locale.ROOT))) {
            byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
            assertThat(CalendarReader.isCalendar(bytes)).isTrue();
            assertThat(CalendarReader.read(bytes).objects()).hasSize(1);
        }
        assertThat(CalendarReader.isCalendar("From: BEGIN:VCALENDAR".getBytes(StandardCharsets.UTF_8)))
                .isFalse();
        assertThat(CalendarReader.isCalendar(new byte[0])).isFalse();
        assertThat(CalendarReader.read("Dear all,\r\nsee you").objects()).isEmpty();
    }

    @Test
    void whenItWasWrittenIsNoChange() {
        String first = read(event("DTSTART:20260310T090000Z", "DTSTAMP:20260101T000000Z"))
                .objects()
                .get(0)
                .text();
        String second = read(event("DTSTART:20260310T090000Z", "DTSTAMP:20260202T000000Z"))
                .objects()
                .get(0)
                .text();
        assertThat(first).isEqualTo(second).doesNotContain("DTSTAMP");
    }

    @Test
    void manyZonesAndManyChangesOfOneEventAreWorkedOutInTime() {
        StringBuilder hostile = new StringBuilder();
        for (int i = 0; i < 3_000; i++) {
            hostile.append("BEGIN:VTIMEZONE\r\nTZID:Z")
                    .append(i)
                    .append(
                            "\r\nBEGIN:STANDARD\r\nDTSTART:19710101T020000\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0200\r\n"
                                    + "RRULE:FREQ=DAILY\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n");
            hostile.append(event(
                            "DTSTART;TZID=Z" + i + ":20260302T090000Z",
                            "RECURRENCE-ID;RANGE=THISANDFUTURE:" + (1900 + i % 290) + "0302T090000Z"))
                    .append("\r\n");
        }
        assertThat(times(hostile.toString(), event("DTSTART:20260302T090000Z", "RRULE:FREQ=HOURLY")))
                .hasSizeLessThanOrEqualTo(CalendarObject.MOST_TIMES);
    }
}
