package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.SyntaxStyle;
import com.github.mangstadt.vinnie.VObjectParameters;
import com.github.mangstadt.vinnie.io.VObjectPropertyValues;
import com.github.mangstadt.vinnie.io.VObjectWriter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Writes iCalendar (RFC 5545, with the names of RFC 7986) that is to be read by other programs. */
public final class CalendarWriter {

    private static final DateTimeFormatter UTC =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("uuuuMMdd", Locale.ROOT);

    /**
     * An event to be written: of a whole day, or of a time.
     *
     * @param uid the same each time it is written
     * @param day the whole day; absent for a time
     * @param from when it begins, where it is no whole day
     * @param minutes how long it lasts
     * @param busy whether it takes time
     * @param stamp when it was written as it is (DTSTAMP)
     */
    public record Event(
            String uid,
            String title,
            String description,
            Optional<LocalDate> day,
            Optional<Instant> from,
            int minutes,
            boolean busy,
            Instant stamp) {}

    private CalendarWriter() {}

    /** Writes a calendar. */
    public static String write(String name, List<Event> events) {
        StringWriter text = new StringWriter();
        try (VObjectWriter writer = new VObjectWriter(text, SyntaxStyle.NEW)) {
            writer.writeBeginComponent("VCALENDAR");
            writer.writeProperty("VERSION", "2.0");
            writer.writeProperty("PRODID", "-//Squallnote//Follow-ups//EN");
            writer.writeProperty("CALSCALE", "GREGORIAN");
            writer.writeProperty("NAME", VObjectPropertyValues.escape(name));
            writer.writeProperty("X-WR-CALNAME", VObjectPropertyValues.escape(name));
            VObjectParameters duration = new VObjectParameters();
            duration.put("VALUE", "DURATION");
            writer.writeProperty(null, "REFRESH-INTERVAL", duration, "PT15M");
            for (Event event : events) {
                write(writer, event);
            }
            writer.writeEndComponent("VCALENDAR");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** Writes one event as an object of a calendar of a server (RFC 4791 section 4.1). */
    public static String object(Event event) {
        StringWriter text = new StringWriter();
        try (VObjectWriter writer = new VObjectWriter(text, SyntaxStyle.NEW)) {
            writer.writeBeginComponent("VCALENDAR");
            writer.writeProperty("VERSION", "2.0");
            writer.writeProperty("PRODID", "-//Squallnote//Follow-ups//EN");
            write(writer, event);
            writer.writeEndComponent("VCALENDAR");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void write(VObjectWriter writer, Event event) throws IOException {
        writer.writeBeginComponent("VEVENT");
        writer.writeProperty("UID", event.uid());
        writer.writeProperty("DTSTAMP", UTC.format(event.stamp()));
        if (event.day().isPresent()) {
            VObjectParameters date = new VObjectParameters();
            date.put("VALUE", "DATE");
            writer.writeProperty(null, "DTSTART", date, DATE.format(event.day().get()));
        } else {
            writer.writeProperty("DTSTART", UTC.format(event.from().orElseThrow()));
            writer.writeProperty("DURATION", "PT" + Math.max(1, event.minutes()) + "M");
        }
        writer.writeProperty("SUMMARY", Component.escaped(event.title()));
        if (!event.description().isEmpty()) {
            writer.writeProperty("DESCRIPTION", Component.escaped(event.description()));
        }
        writer.writeProperty("TRANSP", event.busy() ? "OPAQUE" : "TRANSPARENT");
        writer.writeEndComponent("VEVENT");
    }
}
