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
import org.squallnote.core.message.Parties;

/** A whole follow-up as it stands in the history, without the version, which only counts. */
record FollowUpRecord(
        String title,
        @Nullable UUID categoryId,
        @Nullable LocalDate replyDay,
        @Nullable LocalTime replyTime,
        boolean firm,
        @Nullable Integer effortMinutes,
        boolean forReply,
        @Nullable LocalDate startDay,
        String place,
        Parties people,
        Checklist checklist,
        String note,
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
                f.forReply(),
                f.startDay(),
                f.place(),
                f.people(),
                f.checklist(),
                f.note(),
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
                forReply,
                startDay,
                place,
                people,
                checklist,
                note,
                answerSeen,
                state,
                createdAt,
                endedAt,
                version);
    }
}
