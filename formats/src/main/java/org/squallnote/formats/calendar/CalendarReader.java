package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.SyntaxStyle;
import com.github.mangstadt.vinnie.VObjectProperty;
import com.github.mangstadt.vinnie.io.Context;
import com.github.mangstadt.vinnie.io.SyntaxRules;
import com.github.mangstadt.vinnie.io.VObjectDataAdapter;
import com.github.mangstadt.vinnie.io.VObjectReader;
import com.github.mangstadt.vinnie.io.VObjectWriter;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;

/**
 * Reads iCalendar (RFC 5545), streamed and bounded, by the library Vinnie. What is broken in one event costs that event
 * and no other one.
 */
public final class CalendarReader {

    /** What a calendar holds at most; more is left out and said. */
    public static final int MOST_EVENTS = 50_000;

    private static final int LONGEST_UID = 500;
    private static final int LONGEST_NAME = 200;

    /** So many problems are told of. */
    private static final int MOST_PROBLEMS = 20;

    /**
     * What was read.
     *
     * @param name what the calendar calls itself (NAME of RFC 7986, or the X-WR-CALNAME that many write); empty where it
     *     does not
     * @param unreadable how many events could not be read, those that were too many with them
     * @param problems why, of the first ones, with the title of each
     */
    public record Result(String name, List<CalendarObject> objects, int unreadable, List<String> problems) {}

    private static final String BEGIN = "BEGIN:VCALENDAR";
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private final Map<String, List<Properties>> byUid = new LinkedHashMap<>();
    private final TimeZones zones = new TimeZones();
    private final List<String> problems = new ArrayList<>();
    private final Properties calendar = new Properties();
    private int count;
    private int unreadable;

    private CalendarReader() {}

    /** How many bytes tell whether something is a calendar. */
    public static final int START_BYTES = 64;

    /** Whether bytes begin as a calendar does; a byte order mark and empty lines may stand before it. */
    public static boolean isCalendar(byte[] start) {
        String text = new String(start, 0, Math.min(start.length, START_BYTES), StandardCharsets.UTF_8);
        return opened(text).regionMatches(true, 0, BEGIN, 0, BEGIN.length());
    }

    /** Without what may stand before the first line. */
    private static String opened(String text) {
        boolean marked = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK;
        return (marked ? text.substring(1) : text).stripLeading();
    }

    /** Reads a calendar, or several after each other; whatever is not one gives none. */
    public static Result read(byte[] calendar) {
        return read(new String(calendar, StandardCharsets.UTF_8));
    }

    /** Reads a calendar that is text. */
    public static Result read(String text) {
        CalendarReader reader = new CalendarReader();
        SyntaxRules rules = SyntaxRules.iCalendar();
        rules.setDefaultSyntaxStyle(SyntaxStyle.NEW);
        try (VObjectReader objects = new VObjectReader(new LineBounds(new StringReader(opened(text))), rules)) {
            objects.parse(reader.new Listener());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return reader.result();
    }

    /** The title of the first event of a calendar; empty where there is none. */
    public static String titleOf(String text) {
        return Component.calendar(text).map(each -> each.parts("VEVENT")).orElse(List.of()).stream()
                .findFirst()
                .map(event -> event.properties().text("SUMMARY", LONGEST_NAME))
                .orElse("");
    }

    private final class Listener extends VObjectDataAdapter {

        private Properties event = new Properties();
        private Properties part = new Properties();
        private String zone = "";

        @Override
        public void onComponentBegin(String component, Context context) {
            List<String> parents = context.getParentComponents();
            switch (component) {
                case "VEVENT" -> event = new Properties();
                case "STANDARD", "DAYLIGHT" -> part = new Properties();
                default -> {
                    // Tasks, journals and alarms are not read.
                }
            }
            if (parents.size() > 6) {
                context.stop();
            }
        }

        @Override
        public void onProperty(VObjectProperty property, Context context) {
            List<String> parents = context.getParentComponents();
            String within = parents.isEmpty() ? "" : parents.get(parents.size() - 1);
            switch (within) {
                case "VEVENT" -> event.add(property);
                case "STANDARD", "DAYLIGHT" -> part.add(property);
                case "VTIMEZONE" -> {
                    if (property.getName().equalsIgnoreCase("TZID")) {
                        zone = property.getValue().strip();
                    }
                }
                case "VCALENDAR" -> calendar.add(property);
                default -> {
                    // Of no use here.
                }
            }
        }

        @Override
        public void onComponentEnd(String component, Context context) {
            switch (component) {
                case "STANDARD", "DAYLIGHT" -> zones.add(zone, new TimeZones.Observance(part));
                case "VEVENT" -> take(event);
                default -> {
                    // Nothing to close.
                }
            }
        }
    }

    private void take(Properties event) {
        count++;
        if (count <= MOST_EVENTS) {
            byUid.computeIfAbsent(uid(event), uid -> new ArrayList<>()).add(event);
        }
    }

    /** What says no UID is known by what it says. */
    private static String uid(Properties event) {
        String said =
                event.first("UID").map(property -> property.getValue().strip()).orElse("");
        if (!said.isEmpty() && said.length() <= LONGEST_UID) {
            return said;
        }
        String words = said + event.word("DTSTART") + event.word("SUMMARY") + event.word("RECURRENCE-ID");
        return UUID.nameUUIDFromBytes(words.getBytes(StandardCharsets.UTF_8)).toString();
    }

    private Result result() {
        List<CalendarObject> objects = new ArrayList<>();
        byUid.forEach((uid, components) -> {
            List<CalendarEvent> events = new ArrayList<>();
            List<Properties> good = new ArrayList<>();
            for (Properties component : components) {
                try {
                    events.add(CalendarEvent.read(component, zones));
                    good.add(component);
                } catch (UnreadableEventException e) {
                    unreadable++;
                    if (problems.size() < MOST_PROBLEMS) {
                        problems.add(component.text("SUMMARY", 80) + ": " + e.getMessage());
                    }
                }
            }
            if (!events.isEmpty()) {
                objects.add(new CalendarObject(uid, events, text(good)));
            }
        });
        String name = calendar.text("NAME", LONGEST_NAME);
        return new Result(
                name.isEmpty() ? calendar.text("X-WR-CALNAME", LONGEST_NAME) : name,
                objects,
                unreadable + Math.max(0, count - MOST_EVENTS),
                List.copyOf(problems));
    }

    private String text(List<Properties> events) {
        StringWriter text = new StringWriter();
        try (VObjectWriter writer = new VObjectWriter(text, SyntaxStyle.NEW)) {
            writer.writeBeginComponent("VCALENDAR");
            writer.writeProperty("VERSION", "2.0");
            writer.writeProperty("PRODID", "-//Squallnote//Calendar//EN");
            for (String zone : zonesOf(events)) {
                writeZone(writer, zone, zones.observances(zone));
            }
            for (Properties event : events) {
                writer.writeBeginComponent("VEVENT");
                for (VObjectProperty property : event.all()) {
                    // When it was written says nothing of it, and some write it anew each time they are asked.
                    if (!property.getName().equalsIgnoreCase("DTSTAMP")) {
                        writer.writeProperty(property);
                    }
                }
                writer.writeEndComponent("VEVENT");
            }
            writer.writeEndComponent("VCALENDAR");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** The zones that events speak of and that the calendar describes. */
    private Set<String> zonesOf(List<Properties> events) {
        Set<String> ids = new TreeSet<>();
        for (Properties event : events) {
            for (VObjectProperty property : event.all()) {
                String id = property.getParameters().first("TZID");
                if (id != null && !zones.observances(id).isEmpty()) {
                    ids.add(id);
                }
            }
        }
        return ids;
    }

    private static void writeZone(VObjectWriter writer, String id, List<TimeZones.Observance> observances)
            throws IOException {
        writer.writeBeginComponent("VTIMEZONE");
        writer.writeProperty("TZID", id);
        for (TimeZones.Observance observance : observances) {
            // Which of the two it is, is said by its offsets alone.
            writer.writeBeginComponent("STANDARD");
            for (VObjectProperty property : observance.properties().all()) {
                writer.writeProperty(property);
            }
            writer.writeEndComponent("STANDARD");
        }
        writer.writeEndComponent("VTIMEZONE");
    }
}
