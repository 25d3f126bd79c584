package org.squallnote.sources.calendar;

import java.util.List;
import java.util.Map;

/** Where what calendars say is put down. What is saved in one call is saved whole or not at all. */
public interface CalendarJournal {

    /** The calendars there are, by their place; what is missing is gone. */
    void calendars(List<FoundCalendar> found);

    /** How far a calendar was read, empty before the first time. */
    String state(String calendarHref);

    /** The known objects of a calendar with the state of each. */
    Map<String, String> etags(String calendarHref);

    /**
     * Puts changes down.
     *
     * @param state how far the calendar is read with them; empty where that is not yet so
     */
    void save(String calendarHref, List<Changed> changed, List<String> gone, String state);

    /** Puts a whole calendar down that comes in one piece. */
    void replace(String calendarHref, String name, byte[] calendar, String state);

    /** A calendar was seen as it was. */
    void unchanged(String calendarHref);

    /**
     * What an object says now.
     *
     * @param body iCalendar
     */
    record Changed(String href, String etag, String body) {}
}
