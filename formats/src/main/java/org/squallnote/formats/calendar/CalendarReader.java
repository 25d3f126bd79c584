package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.SyntaxStyle;
import com.github.mangstadt.vinnie.VObjectProperty;
import com.github.mangstadt.vinnie.io.Context;
import com.github.mangstadt.vinnie.io.SyntaxRules;
import com.github.mangstadt.vinnie.io.VObjectDataAdapter;
import com.github.mangstadt.vinnie.io.VObjectReader;
import com.github.mangstadt.vinnie.io.VObjectWriter;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
     * @param isCalendar whether it was a calendar at all
     * @param method what it asks for (METHOD, RFC 5546), upper case; empty for a mere calendar
     * @param unreadable how many events could not be read
     * @param problems why, of the first ones, with the title of each
     * @param cut whether there were more events than are kept
     */
    public record Result(
            String name,
            boolean isCalendar,
            String method,
            List<CalendarObject> objects,
            int unreadable,
            List<String> problems,
            boolean cut) {}

    private final Map<String, List<Properties>> byUid = new LinkedHashMap<>();
    private final Map<String, List<TimeZones.Observance>> zones = new LinkedHashMap<>();
    private final List<String> problems = new ArrayList<>();
    private String name = "";
    private String method = "";
    private boolean isCalendar;
    private int count;
    private int unreadable;

    private CalendarReader() {}

    /** Reads a calendar, or several after each other; whatever is not one gives none. */
    public static Result read(InputStream in) throws IOException {
        return read(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    /** Reads a calendar that is text. */
    public static Result read(Reader text) throws IOException {
        CalendarReader reader = new CalendarReader();
        SyntaxRules rules = SyntaxRules.iCalendar();
        rules.setDefaultSyntaxStyle(SyntaxStyle.NEW);
        try (VObjectReader objects = new VObjectReader(new LineBounds(new BufferedReader(text)), rules)) {
            objects.parse(reader.new Listener());
        }
        return reader.result();
    }

    private final class Listener extends VObjectDataAdapter {

        private Properties event = new Properties();
        private Properties part = new Properties();
        private String zone = "";

        @Override
        public void onComponentBegin(String component, Context context) {
            List<String> parents = context.getParentComponents();
            switch (component) {
                case "VCALENDAR" -> isCalendar = true;
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
                case "VCALENDAR" -> ofTheCalendar(property);
                default -> {
                    // Of no use here.
                }
            }
        }

        private void ofTheCalendar(VObjectProperty property) {
            String value = property.getValue().strip();
            switch (property.getName().toUpperCase(Locale.ROOT)) {
                case "NAME" -> name = value;
                case "X-WR-CALNAME" -> name = name.isEmpty() ? value : name;
                case "METHOD" -> method = value.toUpperCase(Locale.ROOT);
                default -> {
                    // Of no use here.
                }
            }
        }

        @Override
        public void onComponentEnd(String component, Context context) {
            switch (component) {
                case "STANDARD", "DAYLIGHT" ->
                    zones.computeIfAbsent(zone, id -> new ArrayList<>()).add(new TimeZones.Observance(part));
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
        TimeZones known = new TimeZones();
        zones.forEach(known::add);
        List<CalendarObject> objects = new ArrayList<>();
        byUid.forEach((uid, components) -> {
            List<CalendarEvent> events = new ArrayList<>();
            List<Properties> good = new ArrayList<>();
            for (Properties component : components) {
                try {
                    events.add(CalendarEvent.read(component, known));
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
        return new Result(
                name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                isCalendar,
                method,
                objects,
                unreadable,
                List.copyOf(problems),
                count > MOST_EVENTS);
    }

    private String text(List<Properties> events) {
        StringWriter text = new StringWriter();
        try (VObjectWriter writer = new VObjectWriter(text, SyntaxStyle.NEW)) {
            writer.writeBeginComponent("VCALENDAR");
            writer.writeProperty("VERSION", "2.0");
            writer.writeProperty("PRODID", "-//Squallnote//Calendar//EN");
            for (Map.Entry<String, List<TimeZones.Observance>> zone : zones.entrySet()) {
                if (events.stream().anyMatch(event -> speaksOf(event, zone.getKey()))) {
                    writeZone(writer, zone.getKey(), zone.getValue());
                }
            }
            for (Properties event : events) {
                writer.writeBeginComponent("VEVENT");
                for (VObjectProperty property : event.all()) {
                    writer.writeProperty(property);
                }
                writer.writeEndComponent("VEVENT");
            }
            writer.writeEndComponent("VCALENDAR");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static boolean speaksOf(Properties event, String zone) {
        return event.all().stream()
                .anyMatch(property -> zone.equals(property.getParameters().first("TZID")));
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
