package org.squallnote.sources.chat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Party;
import tools.jackson.databind.JsonNode;

class ChatAnswerTest {

    private static final Party BO = new Party("Bo Lindgren", "@bo:quay.example");
    private static final Party TILDA = new Party("Tilda Brandt", "@tilda:quay.example");
    private static final Party TIL = new Party("Til", "@til:quay.example");
    private static final ChatAnswer.Answered ANSWERED =
            new ChatAnswer.Answered("$asked", BO.address(), Optional.empty());

    private static JsonNode said(String text) {
        return ChatAnswer.text(text, ANSWERED, List.of(TIL, BO, TILDA));
    }

    private static List<String> mentioned(JsonNode content) {
        return content.path("m.mentions")
                .path("user_ids")
                .valueStream()
                .map(id -> id.asString(""))
                .toList();
    }

    @Test
    void aPlainAnswerHasNoFormattedBody() {
        JsonNode content = said("It is at the quay, tilda@brandt.example has it.");
        assertThat(content.has("formatted_body")).isFalse();
        assertThat(content.path("m.relates_to")
                        .path("m.in_reply_to")
                        .path("event_id")
                        .asString(""))
                .isEqualTo("$asked");
        assertThat(mentioned(content)).containsExactly(BO.address());
    }

    @Test
    void somebodyIsMentionedByNameOrId() {
        JsonNode content = said("@Tilda Brandt <and> @til:\nwho goes?");
        assertThat(content.path("body").asString("")).isEqualTo("@Tilda Brandt <and> @til:\nwho goes?");
        assertThat(content.path("formatted_body").asString(""))
                .isEqualTo("<a href=\"https://matrix.to/#/@tilda:quay.example\">Tilda Brandt</a> &lt;and&gt; "
                        + "<a href=\"https://matrix.to/#/@til:quay.example\">til</a>:<br>who goes?");
        assertThat(mentioned(content)).containsExactly(BO.address(), TILDA.address(), TIL.address());
    }

    @Test
    void theWholeRoomIsMentionedAndNobodyTwice() {
        JsonNode content = said("@room and @bo, @bo: the tide turns");
        assertThat(content.path("m.mentions").path("room").asBoolean(false)).isTrue();
        assertThat(mentioned(content)).containsExactly(BO.address());
        assertThat(said("@rooms are full").path("m.mentions").has("room")).isFalse();
    }

    @Test
    void aFileSaysWhatItIs() {
        JsonNode content = ChatAnswer.file("quay.png", "image/png", 12, "mxc://quay.example/1", ANSWERED);
        assertThat(content.path("msgtype").asString("")).isEqualTo("m.image");
        assertThat(content.path("url").asString("")).isEqualTo("mxc://quay.example/1");
        assertThat(content.path("info").path("size").asInt(0)).isEqualTo(12);
        assertThat(ChatAnswer.file("a.pdf", "application/pdf", 1, "mxc://q/1", ANSWERED)
                        .path("msgtype")
                        .asString(""))
                .isEqualTo("m.file");
    }
}
