package org.squallnote.sources.chat;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

class EventReaderTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"event_id\":\"$1\",\"type\":\"m.room.message\"}",
                "{\"event_id\":\"$1\",\"type\":\"m.room.message\",\"sender\":\"@a:x\",\"content\":{}}",
                "{\"event_id\":\"$1\",\"type\":\"m.reaction\",\"sender\":\"@a:x\",\"content\":{}}",
                "{\"event_id\":\"$1\",\"type\":\"m.room.member\",\"state_key\":\"@a:x\",\"sender\":\"@a:x\",\"content\":{}}",
                "{\"event_id\":7,\"type\":[],\"sender\":{},\"content\":\"x\"}",
            })
    void whatIsNoMessageIsLeftOut(String event) {
        assertThat(EventReader.read("!r:x", JSON.readTree(event))).isEmpty();
    }

    @Test
    void aServerWithABrokenClockDoesNotStopTheRoom() {
        for (String time : new String[] {"-5", "9223372036854775807", "\"soon\""}) {
            String event = "{\"event_id\":\"$1\",\"type\":\"m.room.message\",\"sender\":\"@a:x\",\"origin_server_ts\":"
                    + time + ",\"content\":{\"msgtype\":\"m.text\",\"body\":\"hello\"}}";
            assertThat(EventReader.read("!r:x", JSON.readTree(event))
                            .orElseThrow()
                            .sentAt())
                    .isBetween(Instant.EPOCH, Instant.parse("2100-01-01T00:00:00Z"));
        }
    }

    @Test
    void aReplyLosesTheRepeatedTextAndAThreadItsFallback() {
        ChatEvent.Message reply = read(
                "{\"msgtype\":\"m.text\",\"body\":\"> <@a:x> Who?\\n\\nMe.\",\"m.relates_to\":{\"m.in_reply_to\":{\"event_id\":\"$q\"}}}");
        assertThat(reply.text()).isEqualTo("Me.");
        assertThat(reply.answers()).contains("$q");

        ChatEvent.Message inThread = read(
                "{\"msgtype\":\"m.notice\",\"body\":\"x\",\"m.relates_to\":{\"rel_type\":\"m.thread\",\"event_id\":\"$root\",\"is_falling_back\":true,\"m.in_reply_to\":{\"event_id\":\"$last\"}}}");
        assertThat(inThread.answers()).isEmpty();
        assertThat(inThread.threadRoot()).contains("$root");
        assertThat(inThread.notice()).isTrue();
    }

    @Test
    void theFormattedBodyIsReadSoThatMarksAreNoStars() {
        ChatEvent.Message formatted =
                read("{\"msgtype\":\"m.text\",\"body\":\"**Ines**: see [the plan](https://quay.example/p)\",\"format\":"
                        + "\"org.matrix.custom.html\",\"formatted_body\":\"<mx-reply><blockquote>Who?</blockquote></mx-reply>"
                        + "<p><a href=\\\"https://matrix.to/#/@ines:x\\\">Ines</a>: see <a href=\\\"https://quay.example/p\\\">"
                        + "the plan</a></p><ul><li>first</li><li>second</li></ul><script>alert(1)</script>\"}");
        assertThat(formatted.text()).isEqualTo("Ines: see the plan (https://quay.example/p)\n\n- first\n- second");
        assertThat(read("{\"msgtype\":\"m.text\",\"body\":\"plain *words*\",\"formatted_body\":\"<b>x</b>\"}")
                        .text())
                .as("without its format it is not read")
                .isEqualTo("plain *words*");
        assertThat(read("{\"msgtype\":\"m.emote\",\"body\":\"waves\"}").text()).isEqualTo("* waves");
    }

    @Test
    void anEditBringsItsOwnFormattedBody() {
        String event =
                "{\"event_id\":\"$2\",\"type\":\"m.room.message\",\"sender\":\"@a:x\",\"content\":{\"body\":\"* new\","
                        + "\"m.relates_to\":{\"rel_type\":\"m.replace\",\"event_id\":\"$1\"},\"m.new_content\":{\"msgtype\":"
                        + "\"m.text\",\"body\":\"_new_\",\"format\":\"org.matrix.custom.html\",\"formatted_body\":\"<em>new</em>\"}}}";
        assertThat(EventReader.read("!r:x", JSON.readTree(event)))
                .get()
                .isInstanceOfSatisfying(
                        ChatEvent.Edit.class, edit -> assertThat(edit.text()).isEqualTo("new"));
    }

    @Test
    void whatIsNoTextShowsAsALine() {
        assertThat(read("{\"msgtype\":\"m.audio\",\"body\":\"v.ogg\",\"info\":{\"duration\":12400},"
                                + "\"org.matrix.msc3245.voice\":{}}")
                        .text())
                .isEqualTo("Voice message, 12 s");
        assertThat(read("{\"msgtype\":\"m.location\",\"body\":\"The crane\",\"geo_uri\":\"geo:51.5,0.1\"}")
                        .text())
                .isEqualTo("Place: The crane (geo:51.5,0.1)");
        assertThat(event("m.sticker", "{\"body\":\"Ahoy\",\"url\":\"mxc://x/1\"}")
                        .text())
                .isEqualTo("Sticker: Ahoy");
        assertThat(event(
                                "org.matrix.msc3381.poll.start",
                                "{\"org.matrix.msc3381.poll.start\":{\"question\":{\"org.matrix.msc1767.text\":\"When?\"},"
                                        + "\"answers\":[{\"org.matrix.msc1767.text\":\"Monday\"},{\"body\":\"Friday\"}]}}")
                        .text())
                .isEqualTo("Poll: When?\n- Monday\n- Friday");
        assertThat(event("m.poll.start", "{\"m.poll\":{\"question\":{\"m.text\":[{\"body\":\"When?\"}]}}}")
                        .text())
                .isEqualTo("Poll: When?");
    }

    private static ChatEvent.Message event(String type, String content) {
        String event = "{\"event_id\":\"$1\",\"type\":\"" + type
                + "\",\"sender\":\"@a:x\",\"origin_server_ts\":1,\"content\":" + content + "}";
        return (ChatEvent.Message)
                EventReader.read("!r:x", JSON.readTree(event)).orElseThrow();
    }

    private static ChatEvent.Message read(String content) {
        String event =
                "{\"event_id\":\"$1\",\"type\":\"m.room.message\",\"sender\":\"@a:x\",\"origin_server_ts\":1,\"content\":"
                        + content + "}";
        return (ChatEvent.Message)
                EventReader.read("!r:x", JSON.readTree(event)).orElseThrow();
    }
}
