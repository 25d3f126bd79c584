package org.squallnote.server.reading;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.formats.mail.ParsedMail;

/** Makes mail and chat messages into what the engine reads. */
public final class ReadableMessage {

    private static final Pattern LIST_ID = Pattern.compile("<([^<>\\s]{1,255})>");
    private static final Pattern LIST_POST = Pattern.compile("<mailto:([^<>?\\s]{3,300})[^>]*>");

    private ReadableMessage() {}

    /**
     * A mail.
     *
     * @param text the text that the findings point into
     * @param sentAt when it was sent, as far as its date can be believed
     * @param answersMine whether the message it answers is mine
     */
    public static MessageToRead mail(ParsedMail mail, String text, Instant sentAt, boolean answersMine) {
        return new MessageToRead(
                Channel.MAIL,
                mail.from(),
                mail.to(),
                mail.cc(),
                sentAt,
                mail.subject(),
                mail.headers(),
                text,
                mail.calendarMethod(),
                mail.deliveryAction(),
                false,
                Set.of(),
                answersMine,
                List.of());
    }

    /** A mail without its header fields, which decide nothing in a letter from one person to another. */
    static MessageToRead letter(StoredMessage message) {
        return new MessageToRead(
                Channel.MAIL,
                message.from(),
                message.recipients().to(),
                message.recipients().cc(),
                message.sentAt(),
                message.subject(),
                Headers.none(),
                message.body(),
                Optional.empty(),
                Optional.empty(),
                false,
                Set.of(),
                false,
                List.of());
    }

    /** A chat message with the text that it has now. */
    public static MessageToRead chat(StoredMessage message, Optional<ChatRoom> room, boolean answersMine) {
        boolean direct = room.map(ChatRoom::direct).orElse(false);
        return new MessageToRead(
                Channel.CHAT,
                message.from(),
                direct ? message.recipients().to() : List.of(),
                List.of(),
                message.sentAt(),
                "",
                Headers.none(),
                message.body(),
                isInvitation(message.messageId()) ? Optional.of("REQUEST") : Optional.empty(),
                Optional.empty(),
                !direct,
                new HashSet<>(message.mentions().list()),
                answersMine,
                message.recipients().to());
    }

    /** Whether an event of a chat is an invitation into a room, which asks for an answer as one to a meeting does. */
    public static boolean isInvitation(String eventId) {
        return eventId.startsWith("invite:");
    }

    /** The address of the mailing list a mail came through (RFC 2369, RFC 2919), lower case. */
    public static @Nullable String listAddress(Headers headers) {
        Matcher post = LIST_POST.matcher(headers.value("List-Post").orElse(""));
        if (post.find()) {
            return post.group(1).toLowerCase(Locale.ROOT);
        }
        String listId = headers.value("List-Id").orElse("");
        Matcher id = LIST_ID.matcher(listId);
        return id.find() ? id.group(1).toLowerCase(Locale.ROOT) : null;
    }
}
