package org.squallnote.core.message;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A message.
 *
 * @param identity what makes it the same message wherever it is found: the {@code Message-ID} or event id, else a
 *     digest of its content
 * @param body the text; of mail the plain text with quotes, of chat the text of the event
 * @param ask the asking sentence, empty when there is none
 * @param messageId the {@code Message-ID} without brackets, or the event id; empty when the mail has none
 * @param refs the identifiers it refers to
 * @param roomId the chat room
 * @param answers the event that a chat message answers
 * @param component the group of messages connected by links, within which threads are computed
 * @param putOffUntil the day on which an undecided message comes back to Intake
 * @param mentions the chat ids that the protocol says were mentioned
 * @param listAddress the mailing list that it came through
 * @param replyDay the explicit deadline found in it, with its time where it has one
 * @param correction whether it asks me, where the user has said so
 * @param edited whether the writer changed it after sending
 * @param removed whether the writer took it back
 */
@RecordBuilder
public record StoredMessage(
        UUID id,
        UUID owner,
        UUID sourceId,
        Channel channel,
        String identity,
        Direction direction,
        Nature nature,
        String fromName,
        String fromAddress,
        Recipients recipients,
        String subject,
        String baseSubject,
        Instant sentAt,
        Instant receivedAt,
        String body,
        boolean asksMe,
        String ask,
        boolean hasHtml,
        Files files,
        Texts notices,
        String messageId,
        Texts refs,
        @Nullable String roomId,
        @Nullable String answers,
        UUID component,
        UUID threadId,
        Decision decision,
        @Nullable Instant decidedAt,
        @Nullable LocalDate putOffUntil,
        Texts mentions,
        @Nullable String listAddress,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean replyFirm,
        @Nullable Asks correction,
        boolean edited,
        boolean removed,
        int version) {

    /** The writer. */
    public Party from() {
        return new Party(fromName, fromAddress);
    }

    /** Whom a rule about everything from there is for: the list it came through, else the writer. */
    public String party() {
        return listAddress == null ? fromAddress : listAddress;
    }

    /** Whether it carries files. */
    public boolean hasFiles() {
        return !files.list().isEmpty();
    }

    /** Whether its subject says that it answers something, and nothing else says what. */
    public boolean unlinkedReply() {
        return refs.list().isEmpty() && !subject.toLowerCase(Locale.ROOT).equals(baseSubject);
    }

    /** What it has in common with subjects that differ only in their numbers. */
    public String subjectPattern() {
        return SubjectPattern.numbersAside(baseSubject);
    }
}
