package org.squallnote.server.followup;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.message.Parties;

/**
 * A whole follow-up as it stands in the history, without the version, which only counts.
 *
 * @param priority absent in what was written before there was one
 */
record FollowUpRecord(
        String title,
        @Nullable UUID categoryId,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        @Nullable Integer effortMinutes,
        @Nullable Priority priority,
        boolean forReply,
        @Nullable LocalDate startDay,
        String place,
        Parties people,
        Checklist checklist,
        String note,
        @Nullable Waiting waiting,
        @Nullable UUID answerSeen,
        FollowUpState state,
        Instant createdAt,
        @Nullable Instant endedAt,
        List<FollowUpLink> links) {

    static FollowUpRecord of(FollowUp f, List<FollowUpLink> links) {
        return new FollowUpRecord(
                f.title(),
                f.categoryId(),
                f.replyDay(),
                f.replyTime(),
                f.firm(),
                f.effortMinutes(),
                f.priority(),
                f.forReply(),
                f.startDay(),
                f.place(),
                f.people(),
                f.checklist(),
                f.note(),
                f.waiting(),
                f.answerSeen(),
                f.state(),
                f.createdAt(),
                f.endedAt(),
                links);
    }

    FollowUp toRow(UUID id, UUID owner, int version) {
        return new FollowUp(
                id,
                owner,
                title,
                categoryId,
                replyDay,
                replyTime,
                firm,
                effortMinutes,
                priority == null ? Priority.NORMAL : priority,
                forReply,
                startDay,
                place,
                people,
                checklist,
                note,
                waiting,
                answerSeen,
                state,
                createdAt,
                endedAt,
                version);
    }
}
