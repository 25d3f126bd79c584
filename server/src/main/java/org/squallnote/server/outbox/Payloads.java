package org.squallnote.server.outbox;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What the kinds of outbox entries need, as they stand in JSON. */
public final class Payloads {

    private Payloads() {}

    /**
     * A mail to send or to append.
     *
     * @param raw the mail in Base64
     */
    public record Mail(String raw) {}

    /** A chat message to send. */
    public record Chat(
            String roomId,
            String text,
            String answered,
            String answeredSender,
            @Nullable String threadRoot) {

        /** The protocol's thread. */
        Optional<String> thread() {
            return Optional.ofNullable(threadRoot);
        }
    }

    /**
     * A draft to keep or to forget.
     *
     * @param messageId the Message-ID that it carries there
     */
    public record KeptDraft(String folder, String messageId) {}

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
