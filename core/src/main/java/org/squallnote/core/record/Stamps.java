package org.squallnote.core.record;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/**
 * When something that ended was asked, answered and done.
 *
 * @param askedAt when its message was sent; null where it came from none
 * @param decidedAt when it became a follow-up
 * @param answeredAt when I first wrote in its thread after that message; null where I did not
 * @param workingMinutes from when it was asked, else decided, until it was answered, else ended
 * @param onTime whether it was answered, else ended, by its date; null where it had none
 */
public record Stamps(
        @Nullable Instant askedAt,
        Instant decidedAt,
        @Nullable Instant answeredAt,
        Instant endedAt,
        long workingMinutes,
        @Nullable Boolean onTime) {

    /**
     * Those of a follow-up that has ended.
     *
     * @throws IllegalArgumentException when it is open
     */
    public static Stamps of(
            FollowUp followUp, @Nullable Instant askedAt, @Nullable Instant answeredAt, WorkingTime workingTime) {
        Instant endedAt = followUp.endedAt();
        if (endedAt == null) {
            throw new IllegalArgumentException("An open follow-up is not in the record.");
        }
        Instant begun = askedAt == null ? followUp.createdAt() : askedAt;
        Instant over = over(endedAt, answeredAt);
        return new Stamps(
                askedAt,
                followUp.createdAt(),
                answeredAt,
                endedAt,
                over.isAfter(begun) ? workingTime.between(begun, over).toMinutes() : 0,
                followUp.replyBy().map(by -> isOnTime(by, over, workingTime)).orElse(null));
    }

    /** When something was over for the other side: answered, else ended. */
    public static Instant over(Instant endedAt, @Nullable Instant answeredAt) {
        return answeredAt == null || answeredAt.isAfter(endedAt) ? endedAt : answeredAt;
    }

    /** Whether something was over in time: by the day, and by the time of day where one was set. */
    public static boolean isOnTime(ReplyBy by, Instant over, WorkingTime workingTime) {
        LocalDateTime local = LocalDateTime.ofInstant(over, workingTime.zone());
        LocalDate day = local.toLocalDate();
        return day.isBefore(by.day())
                || (day.equals(by.day())
                        && Optional.of(by)
                                .flatMap(ReplyBy::time)
                                .map(time -> !local.toLocalTime().isAfter(time))
                                .orElse(true));
    }
}
