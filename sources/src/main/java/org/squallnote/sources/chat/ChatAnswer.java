package org.squallnote.sources.chat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.squallnote.core.message.Mention;
import org.squallnote.core.message.Party;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes the content of chat answers (Matrix client-server API, m.room.message): the text as it is, a formatted body
 * where somebody is mentioned in it, and whom it mentions ({@code m.mentions}).
 */
public final class ChatAnswer {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private ChatAnswer() {}

    /**
     * What is answered.
     *
     * @param event the event that is answered; empty for none
     * @param sender who wrote it, mentioned by the answer
     * @param threadRoot the protocol's thread that it belongs to
     */
    public record Answered(String event, String sender, Optional<String> threadRoot) {}

    /**
     * A text that replies to a message.
     *
     * @param people those of the room, who are mentioned by {@code @} and their name or the local part of their id
     */
    public static JsonNode text(String text, Answered answered, List<Party> people) {
        ObjectNode content = JSON.createObjectNode().put("msgtype", "m.text").put("body", text);
        List<Place> mentions = mentionsIn(text, people);
        if (!mentions.isEmpty()) {
            content.put("format", "org.matrix.custom.html").put("formatted_body", formatted(text, mentions));
        }
        ObjectNode mentioned = relate(content, answered);
        ArrayNode users = (ArrayNode) mentioned.path("user_ids");
        mentions.stream()
                .map(place -> place.mention().person().address())
                .filter(id -> !id.equals(answered.sender()))
                .distinct()
                .forEach(users::add);
        if (isRoomMentioned(text)) {
            mentioned.put("room", true);
        }
        return content;
    }

    /**
     * A file that replies to a message.
     *
     * @param address where it lies on the server ({@code mxc://})
     */
    public static JsonNode file(String name, String type, long size, String address, Answered answered) {
        String kind = type.startsWith("image/")
                ? "m.image"
                : type.startsWith("audio/") ? "m.audio" : type.startsWith("video/") ? "m.video" : "m.file";
        ObjectNode content = JSON.createObjectNode()
                .put("msgtype", kind)
                .put("body", name)
                .put("filename", name)
                .put("url", address);
        content.putObject("info").put("mimetype", type).put("size", size);
        relate(content, answered);
        return content;
    }

    private static ObjectNode relate(ObjectNode content, Answered answered) {
        ArrayNode mentionedIds = JSON.createArrayNode();
        if (!answered.event().isEmpty()) {
            ObjectNode relation = content.putObject("m.relates_to");
            answered.threadRoot()
                    .ifPresent(root -> relation.put("rel_type", "m.thread").put("event_id", root));
            relation.putObject("m.in_reply_to").put("event_id", answered.event());
            mentionedIds.add(answered.sender());
        }
        ObjectNode mentioned = content.putObject("m.mentions");
        mentioned.set("user_ids", mentionedIds);
        return mentioned;
    }

    /** Somebody mentioned, with where the {@code @} stands. */
    private record Place(int from, Mention mention) {}

    private static List<Place> mentionsIn(String text, List<Party> people) {
        List<Place> places = new ArrayList<>();
        int at = text.indexOf('@');
        while (at >= 0) {
            Optional<Mention> found = opensAWord(text, at) ? Mention.at(text, at, people) : Optional.empty();
            if (found.isPresent()) {
                places.add(new Place(at, found.get()));
            }
            at = text.indexOf('@', found.map(Mention::toExclusive).orElse(at + 1));
        }
        return places;
    }

    /** Whether it is no part of an address. */
    private static boolean opensAWord(String text, int at) {
        return at == 0 || !Character.isLetterOrDigit(text.charAt(at - 1));
    }

    private static boolean isRoomMentioned(String text) {
        int at = text.toLowerCase(Locale.ROOT).indexOf("@room");
        return at >= 0 && opensAWord(text, at) && Mention.isNamed(text, at + 1, "room");
    }

    private static String formatted(String text, List<Place> places) {
        StringBuilder html = new StringBuilder();
        int done = 0;
        for (Place place : places) {
            int to = place.mention().toExclusive();
            html.append(escaped(text.substring(done, place.from())))
                    .append("<a href=\"https://matrix.to/#/")
                    .append(escaped(place.mention().person().address()))
                    .append("\">")
                    .append(escaped(text.substring(place.from() + 1, to)))
                    .append("</a>");
            done = to;
        }
        return html.append(escaped(text.substring(done))).toString().replace("\n", "<br>");
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
