package org.squallnote.core.figures;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.record.Deadline;
import org.squallnote.core.time.WorkingTime;

/**
 * A follow-up that has ended.
 *
 * @param effortMinutes how long it was thought to take; null where nobody said so
 * @param answeredAt when I first wrote in the thread of its message after that; null where I have not
 */
public record EndedFact(
        UUID id,
        @Nullable UUID categoryId,
        FollowUpState state,
        Instant endedAt,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        @Nullable Integer effortMinutes,
        @Nullable Instant answeredAt) {

    /** Whether it was in time; absent where it had no date. */
    Optional<Boolean> onTime(WorkingTime workingTime) {
        return new Deadline(id, endedAt, replyDay, replyTime, answeredAt).onTime(workingTime);
    }
}
