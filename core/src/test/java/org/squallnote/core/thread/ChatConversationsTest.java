package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.squallnote.core.thread.ChatConversations.ChatMessage;

class ChatConversationsTest {

    @Test
    void aConversationGoesOnUntilFourQuietHoursHavePassed() {
        assertThat(ChatConversations.of(List.of(at("a", "09:00"), at("b", "12:59"), at("c", "16:59"))))
                .containsExactly(List.of("a", "b"), List.of("c"));
    }

    @Test
    void aReplyBelongsToWhatItAnswersHoweverOldThatIs() {
        assertThat(ChatConversations.of(
                        List.of(at("a", "06:00"), at("b", "12:00"), reply("c", "12:10", "a"), at("d", "12:20"))))
                .containsExactly(List.of("a", "c"), List.of("b", "d"));
    }

    @Test
    void theOrderOfArrivalDoesNotMatter() {
        assertThat(ChatConversations.of(List.of(reply("c", "18:00", "a"), at("b", "12:00"), at("a", "06:00"))))
                .containsExactly(List.of("a", "c"), List.of("b"));
    }

    @Test
    void aReplyToAnUnknownMessageCountsAsAPlainOne() {
        assertThat(ChatConversations.of(List.of(at("a", "09:00"), reply("b", "09:05", "gone"))))
                .containsExactly(List.of("a", "b"));
    }

    private static ChatMessage at(String id, String time) {
        return new ChatMessage(id, Instant.parse("2026-03-02T" + time + ":00Z"), Optional.empty());
    }

    private static ChatMessage reply(String id, String time, String answers) {
        return new ChatMessage(id, Instant.parse("2026-03-02T" + time + ":00Z"), Optional.of(answers));
    }
}
