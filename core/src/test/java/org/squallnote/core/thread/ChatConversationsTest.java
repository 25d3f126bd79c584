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
    void afterQuietHoursTalkGoesOnWithWhatWasAnswered() {
        assertThat(ChatConversations.of(
                        List.of(at("a", "01:00"), at("b", "06:00"), reply("c", "12:00", "a"), at("d", "12:10"))))
                .containsExactly(List.of("a", "c", "d"), List.of("b"));
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

    @Test
    void aThreadIsApartFromTheRoomsOtherTalkAndItsRootIsInIt() {
        assertThat(ChatConversations.of(List.of(
                        at("a", "09:00"),
                        at("root", "09:05"),
                        at("b", "09:10"),
                        inThread("t1", "09:12", "root"),
                        at("c", "09:15"),
                        inThread("t2", "23:00", "root"))))
                .containsExactly(List.of("a", "b", "c"), List.of("root", "t1", "t2"));
    }

    @Test
    void aThreadIsNotJoinedToTalkThatWasQuietNorDoesItKeepTalkGoing() {
        assertThat(ChatConversations.of(
                        List.of(at("a", "06:00"), inThread("t1", "09:00", "gone"), at("b", "11:00"), at("c", "11:05"))))
                .containsExactly(List.of("a"), List.of("t1"), List.of("b", "c"));
    }

    @Test
    void whatRepliesWithinAThreadStaysInIt() {
        assertThat(ChatConversations.of(List.of(
                        at("root", "09:00"),
                        inThread("t1", "09:05", "root"),
                        new ChatMessage("t2", moment("09:10"), Optional.of("root"), Optional.of("t1")),
                        reply("d", "09:20", "t1"))))
                .as("a plain reply to it joins it too")
                .containsExactly(List.of("root", "t1", "t2", "d"));
    }

    private static ChatMessage inThread(String id, String time, String root) {
        return new ChatMessage(id, moment(time), Optional.of(root), Optional.empty());
    }

    private static Instant moment(String time) {
        return Instant.parse("2026-03-02T" + time + ":00Z");
    }

    private static ChatMessage at(String id, String time) {
        return new ChatMessage(id, moment(time), Optional.empty(), Optional.empty());
    }

    private static ChatMessage reply(String id, String time, String answers) {
        return new ChatMessage(id, moment(time), Optional.empty(), Optional.of(answers));
    }
}
