package org.squallnote.store.message;

import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Nature;

/** What was found in a message, as far as lists show it. */
public record Found(
        Nature nature,
        boolean asksMe,
        String ask,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean replyFirm) {}
