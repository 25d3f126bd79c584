package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.SyntaxStyle;
import com.github.mangstadt.vinnie.VObjectParameters;
import com.github.mangstadt.vinnie.VObjectProperty;
import com.github.mangstadt.vinnie.io.Context;
import com.github.mangstadt.vinnie.io.SyntaxRules;
import com.github.mangstadt.vinnie.io.VObjectDataAdapter;
import com.github.mangstadt.vinnie.io.VObjectPropertyValues;
import com.github.mangstadt.vinnie.io.VObjectReader;
import com.github.mangstadt.vinnie.io.VObjectWriter;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** A part of iCalendar with all that stands in it, so that it can be changed and written again without losing anything. */
final class Component {

    /** Deeper, or more of them, is somebody's joke. */
    private static final int DEEPEST = 8;

    private static final int MOST = 1_000;

    private final String name;
    private final List<VObjectProperty> properties = new ArrayList<>();
    private final List<Component> parts = new ArrayList<>();

    Component(String name) {
        this.name = name;
    }

    /** The first calendar of a text; absent where there is none. */
    static Optional<Component> calendar(String text) {
        return build(text, new Building(1, MOST)).stream().findFirst();
    }

    /** The calendars of a text with so many parts in all; what is beyond them is not read. */
    static List<Component> calendars(String text, int most) {
        Building building = new Building(most, most);
        List<Component> calendars = new ArrayList<>(build(text, building));
        Component cut = building.open.peekLast();
        if (cut != null) {
            calendars.add(cut);
        }
        return calendars;
    }

    private static List<Component> build(String text, Building building) {
        SyntaxRules rules = SyntaxRules.iCalendar();
        rules.setDefaultSyntaxStyle(SyntaxStyle.NEW);
        try (VObjectReader reader = new VObjectReader(new LineBounds(new StringReader(text.strip())), rules)) {
            reader.parse(building);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return building.calendars;
    }

    private static final class Building extends VObjectDataAdapter {

        private final Deque<Component> open = new ArrayDeque<>();
        private final List<Component> calendars = new ArrayList<>();
        private final int mostCalendars;
        private final int most;
        private int count;

        Building(int mostCalendars, int most) {
            this.mostCalendars = mostCalendars;
            this.most = most;
        }

        @Override
        public void onComponentBegin(String component, Context context) {
            Component part = new Component(component);
            Component within = open.peek();
            if (within != null) {
                within.parts.add(part);
            }
            open.push(part);
            if (open.size() > DEEPEST || ++count > most) {
                context.stop();
            }
        }

        @Override
        public void onProperty(VObjectProperty property, Context context) {
            Component within = open.peek();
            if (within != null) {
                within.properties.add(property);
            }
        }

        @Override
        public void onComponentEnd(String component, Context context) {
            Component closed = open.poll();
            if (open.isEmpty() && closed != null && closed.name.equals("VCALENDAR")) {
                calendars.add(closed);
                if (calendars.size() >= mostCalendars) {
                    context.stop();
                }
            }
        }
    }

    String text() {
        StringWriter text = new StringWriter();
        try (VObjectWriter writer = new VObjectWriter(text, SyntaxStyle.NEW)) {
            write(writer);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private void write(VObjectWriter writer) throws IOException {
        writer.writeBeginComponent(name);
        if (name.equals("VCALENDAR")) {
            // The library reads it as the syntax, and not as a property.
            writer.writeProperty("VERSION", "2.0");
        }
        for (VObjectProperty property : properties) {
            writer.writeProperty(property);
        }
        for (Component part : parts) {
            part.write(writer);
        }
        writer.writeEndComponent(name);
    }

    List<Component> parts(String named) {
        return parts.stream().filter(part -> part.name.equalsIgnoreCase(named)).toList();
    }

    /** For reading. */
    Properties properties() {
        Properties all = new Properties();
        properties.forEach(all::add);
        return all;
    }

    /** The zones that it describes. */
    TimeZones zones() {
        TimeZones zones = new TimeZones();
        for (Component zone : parts("VTIMEZONE")) {
            String id = zone.value("TZID");
            for (Component part : zone.parts) {
                zones.add(id, new TimeZones.Observance(part.properties()));
            }
        }
        return zones;
    }

    /** The value of a property as it is written; empty where there is none. */
    String value(String property) {
        return properties().first(property).map(it -> it.getValue().strip()).orElse("");
    }

    void add(Component part) {
        parts.add(part);
    }

    void add(VObjectProperty property) {
        properties.add(property);
    }

    /** Sets a property with one value, as it is written. */
    void set(String property, String value) {
        clear(property);
        properties.add(new VObjectProperty(property, value));
    }

    /** Sets a property to words. */
    void say(String property, String words) {
        set(property, escaped(words));
    }

    /** Words as they stand in a property of TEXT (RFC 5545 section 3.3.11). */
    static String escaped(String words) {
        return VObjectPropertyValues.escape(words)
                .replace("\r\n", "\\n")
                .replace("\n", "\\n")
                .replace("\r", "\\n");
    }

    void clear(String property) {
        properties.removeIf(each -> each.getName().equalsIgnoreCase(property));
    }

    /** Puts a property in the place of what it was. */
    void replace(VObjectProperty old, VObjectProperty by) {
        properties.set(properties.indexOf(old), by);
    }

    /** All properties are those of another one; what lies within it, as its alarms do, stays. */
    void takeProperties(Component from) {
        properties.clear();
        properties.addAll(from.properties);
    }

    /** A copy whose parts can be changed by themselves. */
    Component copy() {
        Component copy = new Component(name);
        for (VObjectProperty property : properties) {
            copy.properties.add(new VObjectProperty(
                    property.getGroup(),
                    property.getName(),
                    new VObjectParameters(property.getParameters()),
                    property.getValue()));
        }
        parts.forEach(part -> copy.parts.add(part.copy()));
        return copy;
    }
}
