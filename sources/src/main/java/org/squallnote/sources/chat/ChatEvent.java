package org.squallnote.sources.chat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Something that happened in a room and matters here. */
public sealed interface ChatEvent {

    /** The event id. */
    String eventId();

    /** The room. */
    String roomId();

    /** Who did it. */
    String sender();

    /** When, by the server's clock. */
    Instant sentAt();

    /**
     * A message ({@code m.room.message}, or an encrypted one that cannot be read).
     *
     * @param text its plain text
     * @param notice whether it is an {@code m.notice}, which is what programs write, and seldom a person
     * @param answers the message it replies to
     * @param threadRoot the root of the protocol's thread it belongs to
     * @param mentions user ids it mentions, {@code @room} for everybody
     * @param file a file that it carries
     * @param raw the event as JSON
     */
    record Message(
            String eventId,
            String roomId,
            String sender,
            Instant sentAt,
            String text,
            boolean notice,
            Optional<String> answers,
            Optional<String> threadRoot,
            List<String> mentions,
            Optional<ChatFile> file,
            String raw)
            implements ChatEvent {}

    /** A new text for an earlier message ({@code m.replace}). */
    record Edit(String eventId, String roomId, String sender, Instant sentAt, String target, String text)
            implements ChatEvent {}

    /** A reaction to a message ({@code m.reaction}). */
    record Reaction(String eventId, String roomId, String sender, Instant sentAt, String target, String content)
            implements ChatEvent {}

    /** An event taken back ({@code m.room.redaction}). */
    record Removal(String eventId, String roomId, String sender, Instant sentAt, String target) implements ChatEvent {}

    /**
     * An invitation of mine into a room.
     *
     * @param roomName what the room is called, empty where it has no name
     * @param senderName what whoever invites is called
     * @param raw the room's state as far as it was told, as JSON
     */
    record Invitation(
            String eventId,
            String roomId,
            String sender,
            Instant sentAt,
            String roomName,
            String senderName,
            String raw)
            implements ChatEvent {}

    /** I am no longer in a room, or no longer invited to it. */
    record Departure(String eventId, String roomId, String sender, Instant sentAt) implements ChatEvent {}

    /** A file in a message. */
    record ChatFile(String name, String type, long size) {}
}
