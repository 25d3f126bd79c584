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
        assertThat(inThread.automatic()).isTrue();
    }

    private static ChatEvent.Message read(String content) {
        String event =
                "{\"event_id\":\"$1\",\"type\":\"m.room.message\",\"sender\":\"@a:x\",\"origin_server_ts\":1,\"content\":"
                        + content + "}";
        return (ChatEvent.Message)
                EventReader.read("!r:x", JSON.readTree(event)).orElseThrow();
    }
}
