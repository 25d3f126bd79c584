package org.squallnote.core.figures;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.time.ReplyBy;

/**
 * A follow-up that has ended.
 *
 * @param effortMinutes how long it was thought to take; null where nobody said so
 * @param spentSeconds how long was worked at it
 * @param answeredAt when I first wrote in the thread of its message after that; null where I have not
 */
public record EndedFact(
        UUID id,
        @Nullable UUID categoryId,
        FollowUpState state,
        Instant endedAt,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        @Nullable Integer effortMinutes,
        long spentSeconds,
        @Nullable Instant answeredAt) {

    /** By when it was to be answered. */
    Optional<ReplyBy> replyBy() {
        return Optional.ofNullable(replyDay).map(day -> new ReplyBy(day, Optional.ofNullable(replyTime), firm));
    }

    /** When it was over for the other side: answered, else ended. */
    Instant over() {
        return answeredAt == null || answeredAt.isAfter(endedAt) ? endedAt : answeredAt;
    }

    long spentMinutes() {
        return spentSeconds / 60;
    }
}
