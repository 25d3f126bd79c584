package org.squallnote.standins.scenario;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.squallnote.standins.calendar.CalendarShelf;

/** What is in the harbour office's calendars (RFC 5545): the last weeks and the next ones. */
final class Diary {

    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss", Locale.ROOT);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT);

    private final QuayCalendar calendar;
    private final String zone;
    private final CalendarShelf shelf;
    private final String office;
    private final String tides;
    private final String errands;
    private int count;

    private Diary(CalendarShelf shelf, QuayCalendar calendar, String zone) {
        this.calendar = calendar;
        this.zone = zone;
        this.shelf = shelf;
        this.office = shelf.addCalendar(MerrowQuay.CALENDAR_USER, "office", "Harbour office");
        this.tides = shelf.addCalendar(MerrowQuay.CALENDAR_USER, "tides", "Tides");
        this.errands = shelf.addTaskList(MerrowQuay.CALENDAR_USER, "errands", "Errands");
    }

    /** Puts everything into calendars of Ines. */
    static void write(CalendarShelf shelf, QuayCalendar calendar, String zone) {
        shelf.addUser(MerrowQuay.CALENDAR_USER, MerrowQuay.PASSWORD);
        new Diary(shelf, calendar, zone).write();
    }

    private void write() {
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
        errand("Bulbs for the pier lamps", 2);
        errand("Batteries for the handheld radios", 4);
    }

    private void single(int workingDays, String title, String place, String from, int minutes, String more) {
        event(calendar.day(workingDays), title, place, from, minutes, more);
    }

    private void series(int workingDays, String title, String place, String from, int minutes, String rule) {
        event(calendar.day(workingDays), title, place, from, minutes, rule);
    }

    private void event(LocalDate day, String title, String place, String from, int minutes, String more) {
        put(
                office,
                "VEVENT",
                title,
                "DTSTART;TZID=" + zone + ":" + LOCAL.format(day.atTime(LocalTime.parse(from))),
                "DURATION:PT" + minutes + "M",
                place.isEmpty() ? "" : "LOCATION:" + place,
                more);
    }

    private void allDay(int workingDays, String title, String more) {
        put(tides, "VEVENT", title, "DTSTART;VALUE=DATE:" + DATE.format(calendar.day(workingDays)), more);
    }

    private void errand(String title, int workingDays) {
        put(errands, "VTODO", title, "DUE;VALUE=DATE:" + DATE.format(calendar.day(workingDays)), "STATUS:NEEDS-ACTION");
    }

    /** @param component {@code VEVENT}, or {@code VTODO} for a task */
    private void put(String path, String component, String title, String... lines) {
        count++;
        String uid = "diary-" + count + "@merrowquay.example";
        StringBuilder text = new StringBuilder(
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Merrow Quay//Diary//EN\r\nBEGIN:" + component + "\r\n");
        text.append("UID:")
                .append(uid)
                .append("\r\nDTSTAMP:20260101T000000Z\r\nSUMMARY:")
                .append(title)
                .append("\r\n");
        for (String line : lines) {
            if (!line.isEmpty()) {
                text.append(line).append("\r\n");
            }
        }
        shelf.put(
                path,
                "diary-" + count + ".ics",
                text.append("END:" + component + "\r\nEND:VCALENDAR\r\n").toString());
    }
}
