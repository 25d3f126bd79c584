package org.squallnote.sources.chat;

import java.util.ArrayList;
import java.util.List;
import org.squallnote.formats.html.HtmlText;
import tools.jackson.databind.JsonNode;

/**
 * The content of an event as text (Matrix client-server API, section "Instant Messaging"; polls by MSC3381): the
 * formatted body where there is one, and a line for what is no text.
 */
final class ChatLine {

    private static final String HTML = "org.matrix.custom.html";
    private static final int MOST_ANSWERS = 20;

    private ChatLine() {}

    /** What a message says. */
    static String text(JsonNode content, JsonNode relation) {
        String type = content.path("msgtype").asString("");
        return switch (type) {
            case "m.emote" -> "* " + words(content, relation);
            case "m.audio" -> audio(content, relation);
            case "m.location" -> place(content);
            default -> words(content, relation);
        };
    }

    private static String words(JsonNode content, JsonNode relation) {
        String formatted = content.path("formatted_body").asString("");
        if (content.path("format").asString("").equals(HTML) && !formatted.isBlank()) {
            String text = HtmlText.ofChat(formatted);
            if (!text.isBlank()) {
                return text;
            }
        }
        return withoutFallback(content.path("body").asString(""), relation);
    }

    private static String audio(JsonNode content, JsonNode relation) {
        if (!content.has("org.matrix.msc3245.voice") && !content.has("m.voice")) {
            return words(content, relation);
        }
        long seconds = Math.round(content.path("info").path("duration").asDouble(0) / 1000);
        return seconds > 0 ? "Voice message, " + seconds + " s" : "Voice message";
    }

    private static String place(JsonNode content) {
        String where = content.path("geo_uri").asString("");
        String words = content.path("body").asString("").strip();
        return "Place: " + (words.isEmpty() || words.equals(where) ? where : words + " (" + where + ")");
    }

    /** A sticker by its description. */
    static String sticker(JsonNode content) {
        return "Sticker: " + content.path("body").asString("").strip();
    }

    /** The question of a poll with its answers. */
    static String poll(JsonNode content) {
        JsonNode poll = content.has("m.poll") ? content.path("m.poll") : content.path("org.matrix.msc3381.poll.start");
        List<String> lines = new ArrayList<>();
        lines.add("Poll: " + label(poll.path("question")));
        for (JsonNode answer : poll.path("answers")) {
            if (lines.size() <= MOST_ANSWERS) {
                lines.add("- " + label(answer));
            }
        }
        return String.join("\n", lines);
    }

    private static String label(JsonNode node) {
        for (String name : List.of("body", "org.matrix.msc1767.text")) {
            String words = node.path(name).asString("").strip();
            if (!words.isEmpty()) {
                return words;
            }
        }
        return node.path("m.text").path(0).path("body").asString("").strip();
    }

    /** Older clients repeat the answered message as lines that start with {@code >} before a blank line. */
    private static String withoutFallback(String body, JsonNode relation) {
        if (!relation.has("m.in_reply_to") || !body.startsWith("> ")) {
            return body;
        }
        int end = body.indexOf("\n\n");
        return end < 0 ? body : body.substring(end + 2);
    }
}
