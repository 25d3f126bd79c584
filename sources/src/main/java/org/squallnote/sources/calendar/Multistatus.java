package org.squallnote.sources.calendar;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * The answer to PROPFIND and REPORT (RFC 4918 section 13).
 *
 * @param syncToken how far it goes (RFC 6578), empty where it does not say
 */
record Multistatus(List<Item> items, String syncToken) {

    /** More are not read of one answer. */
    private static final int MOST = 100_000;

    /**
     * What is said of one resource.
     *
     * @param href as the server writes it
     * @param status of the resource as a whole, zero where its properties have their own
     */
    record Item(String href, int status, Map<String, Value> properties) {

        String text(String property) {
            return Optional.ofNullable(properties.get(property))
                    .map(Value::text)
                    .orElse("");
        }

        boolean has(String property, String name) {
            return Optional.ofNullable(properties.get(property))
                    .filter(value -> value.names().contains(name))
                    .isPresent();
        }

        boolean isGone() {
            return status == 404 || status == 410;
        }
    }

    /**
     * A property.
     *
     * @param text all text in it
     * @param names of the elements in it, and of the components they name
     */
    record Value(String text, Set<String> names) {}

    /** Reads one; no entity and nothing from elsewhere is loaded. */
    static Multistatus read(byte[] xml) throws CalendarProblem {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader reader = factory.createXMLStreamReader(new ByteArrayInputStream(xml));
            List<Item> items = new ArrayList<>();
            String token = "";
            while (reader.hasNext() && items.size() < MOST) {
                if (reader.next() == XMLStreamConstants.START_ELEMENT) {
                    if (reader.getLocalName().equals("response")) {
                        items.add(item(reader));
                    } else if (reader.getLocalName().equals("sync-token")) {
                        token = value(reader).text();
                    }
                }
            }
            return new Multistatus(items, token);
        } catch (XMLStreamException e) {
            throw new CalendarProblem("The server's answer is no WebDAV.");
        }
    }

    private static Item item(XMLStreamReader reader) throws XMLStreamException {
        String href = "";
        int status = 0;
        Map<String, Value> properties = new HashMap<>();
        while (reader.hasNext()) {
            int event = reader.next();
            if (event == XMLStreamConstants.END_ELEMENT && reader.getLocalName().equals("response")) {
                break;
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                switch (reader.getLocalName()) {
                    case "href" -> href = canonical(value(reader).text());
                    case "status" -> status = code(value(reader).text());
                    case "propstat" -> properties.putAll(found(reader));
                    default -> {
                        // What it says beside that is for people.
                    }
                }
            }
        }
        return new Item(href, status, properties);
    }

    /**
     * A path with only what must be escaped escaped, so that it is the same in every answer; servers write it now with and
     * now without.
     */
    private static String canonical(String href) {
        if (href.toUpperCase(Locale.ROOT).contains("%2F")) {
            return href;
        }
        try {
            URI uri = new URI(href);
            return new URI(uri.getScheme(), uri.getAuthority(), uri.getPath(), uri.getQuery(), null).toASCIIString();
        } catch (URISyntaxException e) {
            return href;
        }
    }

    /** The properties of a propstat, none where they were not found. */
    private static Map<String, Value> found(XMLStreamReader reader) throws XMLStreamException {
        Map<String, Value> properties = new HashMap<>();
        int status = 200;
        boolean within = false;
        while (reader.hasNext()) {
            int event = reader.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                if (reader.getLocalName().equals("propstat")) {
                    break;
                }
                if (reader.getLocalName().equals("prop")) {
                    within = false;
                }
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                String name = reader.getLocalName();
                if (within) {
                    properties.put(name, value(reader));
                } else if (name.equals("prop")) {
                    within = true;
                } else if (name.equals("status")) {
                    status = code(value(reader).text());
                }
            }
        }
        return status / 100 == 2 ? properties : Map.of();
    }

    /** Reads on to the end of the element that has just begun. */
    private static Value value(XMLStreamReader reader) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        Set<String> names = new HashSet<>();
        int depth = 1;
        while (depth > 0 && reader.hasNext()) {
            switch (reader.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    depth++;
                    names.add(reader.getLocalName());
                    Optional.ofNullable(reader.getAttributeValue(null, "name")).ifPresent(names::add);
                }
                case XMLStreamConstants.END_ELEMENT -> depth--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> text.append(reader.getText());
                default -> {
                    // Comments and the like.
                }
            }
        }
        return new Value(text.toString().strip(), names);
    }

    private static int code(String status) {
        String[] words = status.split("\\s+");
        return words.length > 1 && words[1].matches("\\d{3}") ? Integer.parseInt(words[1]) : 0;
    }
}
