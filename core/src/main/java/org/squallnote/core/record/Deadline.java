package org.squallnote.core.record;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/**
 * Of something that ended as much as says whether it was in time.
 *
 * @param answeredAt when I first wrote in the thread of its message after that; null where I have not
 */
public record Deadline(
        UUID id,
        Instant endedAt,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        @Nullable Instant answeredAt) {

    /** Whether it was answered, else ended, by its date; absent where it had none. */
    public Optional<Boolean> onTime(WorkingTime workingTime) {
        return Optional.ofNullable(replyDay)
                .map(day -> Stamps.isOnTime(
                        new ReplyBy(day, Optional.ofNullable(replyTime), false),
                        Stamps.over(endedAt, answeredAt),
                        workingTime));
    }
}
