package org.squallnote.server.followup;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.DueSpan;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.followup.Standing;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.WorkingTime;

/**
 * A follow-up as lists show it.
 *
 * @param waiting what it waits for, or waited for
 * @param back whether that has come, so that it is back on top
 * @param from who wrote the message that it comes from
 * @param messageId that message
 */
public record FollowUpLine(
        UUID id,
        String title,
        @Nullable UUID categoryId,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        Standing standing,
        DueSpan due,
        @Nullable Integer effortMinutes,
        Priority priority,
        boolean forReply,
        boolean repeats,
        @Nullable LocalDate startDay,
        String place,
        List<Party> people,
        int steps,
        int stepsDone,
        boolean noted,
        boolean answerSeen,
        @Nullable Waiting waiting,
        boolean back,
        FollowUpState state,
        @Nullable Instant endedAt,
        @Nullable String from,
        @Nullable Channel channel,
        @Nullable UUID messageId,
        int version) {

    /**
     * A follow-up at a moment.
     *
     * @param origin the message that it comes from
     * @param repeats whether it comes back when it has ended
     * @param now in the account's zone
     */
    public static FollowUpLine of(
            FollowUp f, Optional<FollowUpOrigin> origin, boolean repeats, WorkingTime workingTime, LocalDateTime now) {
        return new FollowUpLine(
                f.id(),
                f.title(),
                f.categoryId(),
                f.replyDay(),
                f.replyTime(),
                f.firm(),
                Standing.of(f.replyBy(), now, workingTime),
                DueSpan.of(f.replyBy(), now),
                f.effortMinutes(),
                f.priority(),
                f.forReply(),
                repeats,
                f.startDay(),
                f.place(),
                f.people().list(),
                f.checklist().items().size(),
                f.checklist().done(),
                !f.note().isEmpty(),
                f.answerSeen() != null,
                f.waiting(),
                f.isBack(now.toLocalDate()),
                f.state(),
                f.endedAt(),
                origin.map(it -> new Party(it.fromName(), it.fromAddress()).displayName())
                        .orElse(null),
                origin.map(FollowUpOrigin::channel).orElse(null),
                origin.map(FollowUpOrigin::messageId).orElse(null),
                f.version());
    }
}
