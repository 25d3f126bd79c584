package org.squallnote.core.message;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/**
 * What was found in a message, as far as lists show it.
 *
 * @param wantedBy until when an answer is wanted, in the account's zone; absent where none is
 */
public record ReadingSummary(
        Nature nature,
        boolean asksMe,
        String ask,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean replyFirm,
        @Nullable LocalDateTime wantedBy) {}
