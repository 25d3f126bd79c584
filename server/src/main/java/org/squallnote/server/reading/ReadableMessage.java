package org.squallnote.server.reading;

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
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.source.ChatRoom;

/** Makes stored letters and chat messages into what the engine reads. */
public final class ReadableMessage {

    private static final Pattern LIST_ID = Pattern.compile("<([^<>\\s]{1,255})>");
    private static final Pattern LIST_POST = Pattern.compile("<mailto:([^<>?\\s]{3,300})[^>]*>");

    private ReadableMessage() {}

    /** A mail without its header fields, which decide nothing in a letter from one person to another. */
    static MessageToRead letter(StoredMessage message) {
        return MessageToReadBuilder.builder()
                .channel(Channel.MAIL)
                .from(message.from())
                .to(message.recipients().to())
                .cc(message.recipients().cc())
                .sentAt(message.sentAt())
                .subject(message.subject())
                .headers(Headers.none())
                .text(message.body())
                .mentions(Set.of())
                .known(List.of())
                .build();
    }

    /** A chat message with the text that it has now. */
    public static MessageToRead chat(StoredMessage message, Optional<ChatRoom> room, boolean answersMine) {
        boolean direct = room.map(ChatRoom::direct).orElse(false);
        return MessageToReadBuilder.builder()
                .channel(Channel.CHAT)
                .from(message.from())
                .to(direct ? message.recipients().to() : List.of())
                .cc(List.of())
                .sentAt(message.sentAt())
                .subject("")
                .headers(Headers.none())
                .text(message.body())
                .calendarMethod(isInvitation(message.messageId()) ? Optional.of("REQUEST") : Optional.empty())
                .inRoom(!direct)
                .mentions(new HashSet<>(message.mentions().list()))
                .answersMe(answersMine)
                .known(message.recipients().to())
                .build();
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
