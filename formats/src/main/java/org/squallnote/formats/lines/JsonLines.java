package org.squallnote.formats.lines;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.TurnEvent;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * One line of JSON: a message ({@code "message"}) or a conversation ({@code "messages"}) together with whom it is read
 * for ({@code "me"}), {@code "zone"} and {@code "locale"}. {@code docs/json-lines.md} describes the fields.
 */
public final class JsonLines {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Pattern METHOD = Pattern.compile("method=\"?([A-Za-z]+)");

    private JsonLines() {}

    /**
     * A line taken apart.
     *
     * @param id the identifier that a prediction repeats
     * @param reader reads for the person named in the line
     * @param messages the messages in the order of the line; one, unless it is a conversation
     * @param conversation whether it is one
     */
    public record Line(String id, Reader reader, List<Entry> messages, boolean conversation) {

        /** Copies the messages. */
        public Line {
            messages = List.copyOf(messages);
        }
    }

    /**
     * A message of a line.
     *
     * @param id its identifier inside the line
     * @param message what is read
     * @param direction in or out
     * @param answers the message of the conversation that it answers
     * @param reaction whether it is a reaction
     * @param takenBack whether that reaction is taken back by it
     */
    public record Entry(
            String id,
            MessageToRead message,
            Direction direction,
            Optional<String> answers,
            boolean reaction,
            boolean takenBack) {

        /** What the fold over a conversation takes; reads the message. */
        public TurnEvent event(Reader reader) {
            return event(reader.read(message));
        }

        /** The same with a reading that is there already. */
        public TurnEvent event(Reading reading) {
            return new TurnEvent(
                    idOf(id),
                    message.sentAt(),
                    message.channel(),
                    direction,
                    message.from(),
                    message.to(),
                    message.cc(),
                    answers.map(JsonLines::idOf),
                    reaction,
                    takenBack ? Optional.of(message.sentAt()) : Optional.empty(),
                    message.headers().has("List-Id") || message.headers().has("List-Post"),
                    false,
                    Facts.of(reading, direction));
        }
    }

    /**
     * Takes one line apart.
     *
     * @throws IllegalArgumentException when it is no JSON or lacks a field, with a message that says which
     */
    public static Line parse(String line) {
        try {
            JsonNode row = JSON.readTree(line);
            return new Rows(row).line();
        } catch (JacksonException e) {
            throw new IllegalArgumentException("this is no JSON: " + e.getOriginalMessage(), e);
        }
    }

    private static UUID idOf(String id) {
        return UUID.nameUUIDFromBytes(id.getBytes(StandardCharsets.UTF_8));
    }

    private static final class Rows {

        private final JsonNode row;
        private final Me me;

        Rows(JsonNode row) {
            this.row = row;
            this.me = me(required(row, "me"));
        }

        Line line() {
            ZoneId zone = ZoneId.of(required(row, "zone").asString());
            boolean monthFirst = row.path("locale").asString("").equals("en-US");
            Reader reader = new Reader(me, monthFirst, WorkingTime.officeHours(zone));
            String id = required(row, "id").asString();
            boolean conversation = row.has("messages");
            List<Entry> entries = conversation
                    ? conversation()
                    : List.of(entry(required(row, "message"), row.path("message"), Set.of(), Map.of(), id));
            return new Line(id, reader, entries, conversation);
        }

        private List<Entry> conversation() {
            Set<Party> people = new LinkedHashSet<>();
            row.path("messages").forEach(message -> people.add(party(message.path("from"))));
            Map<String, String> writers = new HashMap<>();
            List<Entry> entries = new ArrayList<>();
            for (JsonNode message : row.path("messages")) {
                Entry entry = entry(
                        message, row, people, writers, required(message, "id").asString());
                writers.put(entry.id(), entry.message().from().address());
                entries.add(entry);
            }
            return entries;
        }

        private Entry entry(
                JsonNode message, JsonNode shared, Set<Party> people, Map<String, String> writers, String id) {
            boolean chat = shared.path("channel").asString("mail").equals("chat");
            boolean inRoom =
                    chat && shared.path("room").path("kind").asString("direct").equals("group");
            Party from = party(required(message, "from"));
            List<Party> to = parties(message.path("to"));
            Optional<String> answers = text(message, "inReplyTo");
            if (chat && !inRoom && me.is(from) && to.isEmpty()) {
                to = people.stream().filter(party -> !me.is(party)).toList();
            }
            Headers headers = headers(message.path("headers"));
            boolean answersMe = message.path("answersMe").asBoolean(false)
                    || answers.map(writers::get)
                            .filter(me.addresses()::contains)
                            .isPresent();
            MessageToRead read = MessageToReadBuilder.builder()
                    .channel(chat ? Channel.CHAT : Channel.MAIL)
                    .from(from)
                    .to(to)
                    .cc(parties(message.path("cc")))
                    .sentAt(sentAt(message))
                    .subject(text(message, "subject").orElse(""))
                    .headers(headers)
                    .text(message.path("text").asString(""))
                    .calendarMethod(calendarMethod(headers))
                    .inRoom(inRoom)
                    .mentions(mentions(message.path("mentions")))
                    .answersMe(answersMe)
                    .known(List.copyOf(people))
                    .build();
            Direction direction = me.is(from) ? Direction.OUTGOING : Direction.INCOMING;
            return new Entry(
                    id,
                    read,
                    direction,
                    answers,
                    message.has("reaction"),
                    message.path("takenBack").asBoolean(false));
        }

        private static Instant sentAt(JsonNode message) {
            String written = required(message, "sentAt").asString();
            try {
                return OffsetDateTime.parse(written).toInstant();
            } catch (java.time.format.DateTimeParseException e) {
                throw new IllegalArgumentException("sentAt is no date and time with an offset: " + written, e);
            }
        }

        private static Optional<String> calendarMethod(Headers headers) {
            String type = headers.value("Content-Type").orElse("");
            Matcher method = METHOD.matcher(type);
            return type.toLowerCase(Locale.ROOT).contains("text/calendar") && method.find()
                    ? Optional.of(method.group(1).toUpperCase(Locale.ROOT))
                    : Optional.empty();
        }

        private static Me me(JsonNode node) {
            Set<String> addresses = new HashSet<>(strings(node.path("addresses")));
            text(node, "chatId").ifPresent(addresses::add);
            return new Me(text(node, "name").orElse(""), addresses, strings(node.path("nicknames")));
        }

        private static Party party(JsonNode node) {
            return new Party(
                    text(node, "name").orElse(""), text(node, "address").orElse(""));
        }

        private static List<Party> parties(JsonNode node) {
            List<Party> parties = new ArrayList<>();
            node.forEach(one -> parties.add(party(one)));
            return parties;
        }

        private static Set<String> mentions(JsonNode node) {
            return new LinkedHashSet<>(strings(node));
        }

        private static List<String> strings(JsonNode node) {
            List<String> strings = new ArrayList<>();
            node.forEach(one -> strings.add(one.asString()));
            return strings;
        }

        private static Headers headers(JsonNode node) {
            Map<String, String> fields = new LinkedHashMap<>();
            node.properties()
                    .forEach(
                            field -> fields.put(field.getKey(), field.getValue().asString("")));
            return Headers.of(fields);
        }

        private static Optional<String> text(JsonNode node, String name) {
            JsonNode value = node.path(name);
            return value.isMissingNode() || value.isNull() ? Optional.empty() : Optional.of(value.asString());
        }

        private static JsonNode required(JsonNode node, String name) {
            JsonNode value = node.path(name);
            if (value.isMissingNode() || value.isNull()) {
                throw new IllegalArgumentException("the field \"" + name + "\" is missing");
            }
            return value;
        }
    }
}
