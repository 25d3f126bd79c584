package org.squallnote.sources.chat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Turns room events (Matrix client-server API, section "Instant Messaging" and "Event relationships") into what matters here. */
final class EventReader {

    private static final int LONGEST_TEXT = 100_000;
    private static final long YEAR_2100_MILLIS = 4_102_444_800_000L;

    private EventReader() {}

    static Optional<ChatEvent> read(String roomId, JsonNode event) {
        String id = event.path("event_id").asString("");
        String sender = event.path("sender").asString("");
        Instant sentAt = sentAt(event);
        JsonNode content = event.path("content");
        if (id.isEmpty() || id.length() > 255 || sender.isEmpty() || sender.length() > 255 || event.has("state_key")) {
            return Optional.empty();
        }
        return switch (event.path("type").asString("")) {
            case "m.room.message" -> message(id, roomId, sender, sentAt, content, event);
            case "m.room.encrypted" ->
                Optional.of(plain(
                        id,
                        roomId,
                        sender,
                        sentAt,
                        "This message is encrypted and cannot be read here.",
                        content,
                        event));
            case "m.sticker" ->
                Optional.of(plain(id, roomId, sender, sentAt, ChatLine.sticker(content), content, event));
            case "m.poll.start", "org.matrix.msc3381.poll.start" ->
                Optional.of(plain(id, roomId, sender, sentAt, ChatLine.poll(content), content, event));
            case "m.reaction" -> reaction(id, roomId, sender, sentAt, content);
            case "m.room.redaction" ->
                redacted(event).map(target -> new ChatEvent.Removal(id, roomId, sender, sentAt, target));
            default -> Optional.empty();
        };
    }

    /** The moment by the server's clock, whatever a broken server writes there. */
    static Instant sentAt(JsonNode event) {
        return Instant.ofEpochMilli(
                Math.max(0, Math.min(event.path("origin_server_ts").asLong(0), YEAR_2100_MILLIS)));
    }

    /** Room version 11 moved the target into the content; older ones carry it beside it. */
    private static Optional<String> redacted(JsonNode event) {
        return text(event.path("content"), "redacts").or(() -> text(event, "redacts"));
    }

    private static Optional<ChatEvent> message(
            String id, String roomId, String sender, Instant sentAt, JsonNode content, JsonNode event) {
        if (content.isEmpty()) {
            return Optional.empty(); // Redacted before we saw it.
        }
        JsonNode relation = content.path("m.relates_to");
        if (relation.path("rel_type").asString("").equals("m.replace")) {
            String text = ChatLine.text(content.path("m.new_content"), relation);
            return text(relation, "event_id")
                    .map(target -> new ChatEvent.Edit(id, roomId, sender, sentAt, target, cut(text)));
        }
        return Optional.of(plain(id, roomId, sender, sentAt, ChatLine.text(content, relation), content, event));
    }

    private static ChatEvent.Message plain(
            String id, String roomId, String sender, Instant sentAt, String text, JsonNode content, JsonNode event) {
        JsonNode relation = content.path("m.relates_to");
        boolean inThread = relation.path("rel_type").asString("").equals("m.thread");
        Optional<String> threadRoot = inThread ? text(relation, "event_id") : Optional.empty();
        // In a thread the reply relation is only a fallback for clients without threads, unless it says otherwise.
        boolean fallback = inThread && relation.path("is_falling_back").asBoolean(false);
        Optional<String> answers = fallback ? Optional.empty() : text(relation.path("m.in_reply_to"), "event_id");
        List<String> mentions = new ArrayList<>();
        content.path("m.mentions").path("user_ids").forEach(user -> mentions.add(user.asString("")));
        if (content.path("m.mentions").path("room").asBoolean(false)) {
            mentions.add("@room");
        }
        return new ChatEvent.Message(
                id,
                roomId,
                sender,
                sentAt,
                cut(text),
                content.path("msgtype").asString("").equals("m.notice"),
                answers,
                threadRoot,
                List.copyOf(mentions),
                file(content),
                event.toString());
    }

    private static Optional<ChatEvent.ChatFile> file(JsonNode content) {
        if (!content.has("url") && !content.has("file")) {
            return Optional.empty();
        }
        String name = content.path("filename").asString(content.path("body").asString("file"));
        return Optional.of(new ChatEvent.ChatFile(
                name.length() > 150 ? name.substring(0, 150) : name,
                content.path("info").path("mimetype").asString("application/octet-stream"),
                content.path("info").path("size").asLong(0)));
    }

    private static Optional<ChatEvent> reaction(
            String id, String roomId, String sender, Instant sentAt, JsonNode content) {
        JsonNode relation = content.path("m.relates_to");
        String key = relation.path("key").asString("");
        return text(relation, "event_id")
                .map(target -> new ChatEvent.Reaction(
                        id, roomId, sender, sentAt, target, key.length() > 60 ? key.substring(0, 60) : key));
    }

    private static Optional<String> text(JsonNode node, String field) {
        String value = node.path(field).asString("");
        return value.isEmpty() || value.length() > 255 ? Optional.empty() : Optional.of(value);
    }

    private static String cut(String text) {
        return text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text;
    }
}
