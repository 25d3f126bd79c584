package org.squallnote.core.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;

/**
 * What the list of Intake shows of a message, without its body.
 *
 * @param beginning of the body; empty where there is an ask or a subject, since long texts lie apart and cost time
 */
public record IntakeRow(
        UUID id,
        UUID threadId,
        UUID sourceId,
        Channel channel,
        Nature nature,
        String fromName,
        String fromAddress,
        String subject,
        String beginning,
        boolean asksMe,
        String ask,
        Instant sentAt,
        @Nullable String roomId,
        @Nullable String listAddress,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean replyFirm,
        boolean hasFiles,
        @Nullable LocalDate putOffUntil,
        int version) {
    /** Who wrote it. */
    public Party from() {
        return new Party(fromName, fromAddress);
    }

    /** The address or list that rules about it go by. */
    public String party() {
        return listAddress == null ? fromAddress : listAddress;
    }

    /** What it is about, on one line: what it asks, else its subject, else how it begins. */
    public String about() {
        return oneLine(!ask.isBlank() ? ask : subject.isBlank() ? beginning : subject);
    }

    /** The subject of a mail where {@link #about} is something else; empty where it says all there is. */
    public String subjectBeside() {
        return ask.isBlank() || channel == Channel.CHAT ? "" : oneLine(subject);
    }

    /**
     * Whether the reply-by date is over.
     *
     * @param now in the account's zone
     */
    public boolean isLate(LocalDateTime now) {
        return replyDay != null && new ReplyBy(replyDay, Optional.ofNullable(replyTime), replyFirm).isLate(now);
    }

    private static String oneLine(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }
}
