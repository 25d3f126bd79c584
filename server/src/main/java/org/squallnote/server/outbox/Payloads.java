package org.squallnote.server.outbox;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.todo.Todo;
import org.squallnote.sources.chat.ChatAnswer;

/** What the kinds of outbox entries need, as they stand in JSON. */
public final class Payloads {

    private Payloads() {}

    /**
     * A mail to send or to append.
     *
     * @param raw the mail in Base64
     */
    public record Mail(String raw) {}

    /**
     * A chat message to send.
     *
     * @param people those of the room, of whom it may mention some; absent in what was written earlier
     */
    public record Chat(
            String roomId,
            String text,
            String answered,
            String answeredSender,
            @Nullable String threadRoot,
            @Nullable List<Party> people) {

        ChatAnswer.Answered to() {
            return new ChatAnswer.Answered(answered, answeredSender, Optional.ofNullable(threadRoot));
        }

        List<Party> whoMayBeMentioned() {
            return people == null ? List.of() : people;
        }
    }

    /**
     * A file to send into a room.
     *
     * @param content the file in Base64
     * @param address where it lies on the server, once it does
     */
    public record ChatFile(
            String roomId,
            String name,
            String type,
            String content,
            String answered,
            String answeredSender,
            @Nullable String threadRoot,
            @Nullable String address) {

        ChatAnswer.Answered to() {
            return new ChatAnswer.Answered(answered, answeredSender, Optional.ofNullable(threadRoot));
        }

        ChatFile at(String uploaded) {
            return new ChatFile(roomId, name, type, content, answered, answeredSender, threadRoot, uploaded);
        }
    }

    /**
     * A reaction to give or to take back.
     *
     * @param target the event it reacts to
     * @param sign what is shown
     * @param eventId the event of the reaction, once there is one
     */
    public record React(
            String roomId,
            String target,
            String sign,
            @Nullable String eventId) {

        React given(String event) {
            return new React(roomId, target, sign, event);
        }
    }

    /** Something about a whole room. */
    public record Room(String roomId) {}

    /**
     * A draft to keep or to forget.
     *
     * @param messageId the Message-ID that it carries there
     */
    public record KeptDraft(String folder, String messageId) {}

    /**
     * An event to write; with neither words of its own nor what somebody said of it, it is taken away.
     *
     * @param own the whole event as it is to be, where it is mine
     * @param said what whoever invites said last
     * @param participation my answer to that; absent where it was called off
     */
    public record Event(
            UUID calendarId,
            String uid,
            @Nullable String own,
            @Nullable String said,
            @Nullable String participation) {}

    /**
     * A task to write.
     *
     * @param expects what it says there; absent where it is not there yet. Where it says something else by then, nothing is
     *     written
     * @param become what it is to say; absent where it is to be taken away
     */
    public record Task(
            UUID calendarId,
            String uid,
            @Nullable Todo expects,
            @Nullable Todo become) {}

    /**
     * A mail to move.
     *
     * @param landedValidity the UIDVALIDITY of the folder that it came to lie in, once it was moved and the server told
     * @param landedUid its UID there
     */
    public record Move(
            String from,
            String to,
            long uidValidity,
            long uid,
            String messageId,
            @Nullable Long landedValidity,
            @Nullable Long landedUid) {

        /** The same, once it was moved. */
        Move landed(long validity, long uidThere) {
            return new Move(from, to, uidValidity, uid, messageId, validity, uidThere);
        }
    }
}
