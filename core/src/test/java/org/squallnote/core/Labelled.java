package org.squallnote.core;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.TurnEvent;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The labelled messages and threads among the test resources. */
public final class Labelled {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Labelled() {}

    /** The lines of a file beside a class. */
    public static List<JsonNode> lines(Class<?> beside, String file) {
        try (BufferedReader in =
                new BufferedReader(new InputStreamReader(beside.getResourceAsStream(file), StandardCharsets.UTF_8))) {
            return in.lines()
                    .filter(line -> !line.isBlank())
                    .map(JSON::readTree)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The reader that a line asks for. */
    public static Reader reader(JsonNode row) {
        return new Reader(
                me(row),
                row.path("locale").asString().equals("en-US"),
                WorkingTime.officeHours(ZoneId.of(row.path("zone").asString())));
    }

    private static Me me(JsonNode row) {
        JsonNode me = row.path("me");
        Set<String> addresses = new LinkedHashSet<>(strings(me.path("addresses")));
        addresses.add(me.path("chatId").asString("@me"));
        return new Me(me.path("name").asString(), addresses, strings(me.path("nicknames")));
    }

    /** A message, with what its line says for all of a conversation. */
    public static MessageToRead message(JsonNode row, JsonNode message, JsonNode shared, boolean answersMe) {
        Me me = me(row);
        boolean chat = shared.path("channel").asString().equals("chat");
        boolean room =
                chat && shared.path("room").path("kind").asString("direct").equals("group");
        Party from = party(message.path("from"));
        Set<Party> others = new LinkedHashSet<>();
        row.path("messages").forEach(one -> others.add(party(one.path("from"))));
        List<Party> to = parties(message.path("to"));
        if (chat && !room && me.is(from)) {
            to = others.stream().filter(party -> !me.is(party)).toList();
        }
        Map<String, String> fields = new LinkedHashMap<>();
        message.path("headers")
                .properties()
                .forEach(f -> fields.put(f.getKey(), f.getValue().asString()));
        String type = fields.getOrDefault("Content-Type", "");
        Optional<String> method = type.contains("text/calendar")
                ? Optional.of(
                        type.replaceAll("(?s).*method=\"?([A-Za-z]+).*", "$1").toUpperCase(Locale.ROOT))
                : Optional.empty();
        return MessageToReadBuilder.builder()
                .channel(chat ? Channel.CHAT : Channel.MAIL)
                .from(from)
                .to(to)
                .cc(parties(message.path("cc")))
                .sentAt(OffsetDateTime.parse(message.path("sentAt").asString()).toInstant())
                .subject(message.path("subject").asString(""))
                .headers(Headers.of(fields))
                .text(message.path("text").asString(""))
                .calendarMethod(method)
                .inRoom(room)
                .mentions(new LinkedHashSet<>(strings(message.path("mentions"))))
                .answersMe(answersMe || message.path("answersMe").asBoolean(false))
                .known(List.copyOf(others))
                .build();
    }

    /** The events of a conversation, in the order of the line. */
    public static List<TurnEvent> events(JsonNode row) {
        Me me = me(row);
        Reader reader = reader(row);
        Map<String, Party> writers = new LinkedHashMap<>();
        List<TurnEvent> events = new ArrayList<>();
        for (JsonNode message : row.path("messages")) {
            JsonNode answered = message.path("inReplyTo");
            Optional<String> answers =
                    answered.isNull() || answered.isMissingNode() ? Optional.empty() : Optional.of(answered.asString());
            boolean answersMe = answers.map(writers::get).filter(me::is).isPresent();
            MessageToRead read = message(row, message, row, answersMe);
            writers.put(message.path("id").asString(), read.from());
            Direction direction = me.is(read.from()) ? Direction.OUTGOING : Direction.INCOMING;
            events.add(new TurnEvent(
                    id(message.path("id").asString()),
                    read.sentAt(),
                    read.channel(),
                    direction,
                    read.from(),
                    read.to(),
                    read.cc(),
                    answers.map(Labelled::id),
                    message.has("reaction"),
                    message.path("takenBack").asBoolean(false) ? Optional.of(read.sentAt()) : Optional.empty(),
                    read.headers().has("List-Id"),
                    false,
                    Facts.of(reader.read(read), direction)));
        }
        return events;
    }

    private static UUID id(String id) {
        return UUID.nameUUIDFromBytes(id.getBytes(StandardCharsets.UTF_8));
    }

    private static Party party(JsonNode node) {
        return new Party(node.path("name").asString(""), node.path("address").asString(""));
    }

    private static List<Party> parties(JsonNode node) {
        List<Party> parties = new ArrayList<>();
        node.forEach(one -> parties.add(party(one)));
        return parties;
    }

    private static List<String> strings(JsonNode node) {
        List<String> strings = new ArrayList<>();
        node.forEach(one -> strings.add(one.asString()));
        return strings;
    }
}
