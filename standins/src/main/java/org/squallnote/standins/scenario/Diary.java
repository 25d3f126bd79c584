package org.squallnote.standins.scenario;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** What is in the harbour office's calendar, as iCalendar (RFC 5545): the last weeks and the next ones. */
final class Diary {

    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss", Locale.ROOT);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT);

    private final QuayCalendar calendar;
    private final String zone;
    private final StringBuilder text = new StringBuilder();
    private int count;

    private Diary(QuayCalendar calendar, String zone) {
        this.calendar = calendar;
        this.zone = zone;
    }

    /** The calendar as a file. */
    static String of(QuayCalendar calendar, String zone) {
        return new Diary(calendar, zone).write();
    }

    private String write() {
        line("BEGIN:VCALENDAR");
        line("VERSION:2.0");
        line("PRODID:-//Merrow Quay//Diary//EN");
        line("X-WR-CALNAME:Harbour office");
        series(-20, "Crew round", "Boathouse", "09:00", 30, "RRULE:FREQ=WEEKLY;BYDAY=MO,FR");
        series(-20, "Berths of the week", "", "15:30", 30, "RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=TU");
        single(0, "Surveyor", "Slipway", "11:30", 45, "");
        single(0, "Harbour meeting", "Town hall", "14:00", 60, "");
        single(1, "Insurer on the phone", "", "10:00", 30, "STATUS:TENTATIVE");
        single(2, "Crane inspection", "Crane yard", "13:00", 90, "");
        single(3, "Regatta committee", "Yacht club", "16:00", 60, "");
        single(5, "Audit", "Office", "09:00", 240, "");
        single(5, "Harbour meeting", "Town hall", "14:00", 120, "");
        single(6, "Lunch with the pilots", "Café", "12:30", 60, "TRANSP:TRANSPARENT");
        single(8, "Pilots' association", "Pilot house", "13:00", 90, "");
        single(-1, "Dredging plans", "Office", "10:30", 60, "");
        allDay(7, "Spring tide", "TRANSP:TRANSPARENT");
        line("END:VCALENDAR");
        return text.toString();
    }

    private void single(int workingDays, String title, String place, String from, int minutes, String more) {
        event(calendar.day(workingDays), title, place, from, minutes, more);
    }

    private void series(int workingDays, String title, String place, String from, int minutes, String rule) {
        event(calendar.day(workingDays), title, place, from, minutes, rule);
    }

    private void event(LocalDate day, String title, String place, String from, int minutes, String more) {
        begin(title);
        line("DTSTART;TZID=" + zone + ":" + LOCAL.format(day.atTime(LocalTime.parse(from))));
        line("DURATION:PT" + minutes + "M");
        if (!place.isEmpty()) {
            line("LOCATION:" + place);
        }
        end(more);
    }

    private void allDay(int workingDays, String title, String more) {
        begin(title);
        line("DTSTART;VALUE=DATE:" + DATE.format(calendar.day(workingDays)));
        end(more);
    }

    private void begin(String title) {
        count++;
        line("BEGIN:VEVENT");
        line("UID:diary-" + count + "@merrowquay.example");
        line("DTSTAMP:20260101T000000Z");
        line("SUMMARY:" + title);
    }

    private void end(String more) {
        if (!more.isEmpty()) {
            line(more);
        }
        line("END:VEVENT");
    }

    private void line(String line) {
        text.append(line).append("\r\n");
    }
}
