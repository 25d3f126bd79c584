package org.squallnote.sources.chat;

import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Writes the content of a chat answer. */
public final class ChatAnswer {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private ChatAnswer() {}

    /**
     * A text that replies to a message.
     *
     * @param answered the event that is answered
     * @param answeredSender who wrote it, mentioned by the answer
     * @param threadRoot the protocol's thread that the answered message belongs to
     */
    public static JsonNode content(String text, String answered, String answeredSender, Optional<String> threadRoot) {
        ObjectNode relation = JSON.createObjectNode();
        threadRoot.ifPresent(root -> relation.put("rel_type", "m.thread").put("event_id", root));
        relation.set("m.in_reply_to", JSON.createObjectNode().put("event_id", answered));
        ObjectNode content = JSON.createObjectNode().put("msgtype", "m.text").put("body", text);
        content.set("m.relates_to", relation);
        content.set(
                "m.mentions",
                JSON.createObjectNode().set("user_ids", JSON.createArrayNode().add(answeredSender)));
        return content;
    }
}
