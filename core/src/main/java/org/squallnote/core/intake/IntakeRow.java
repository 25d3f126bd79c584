package org.squallnote.core.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Nature;

/** What the list of Intake shows of a message, without its body. */
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
        int version) {}
