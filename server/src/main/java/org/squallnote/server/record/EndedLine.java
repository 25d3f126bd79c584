package org.squallnote.server.record;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.record.Stamps;
import org.squallnote.core.turn.CloseReason;

/**
 * Something that ended.
 *
 * @param state of a follow-up; of a thread that it is done
 * @param closedAs why a thread was closed; null where none was said and of follow-ups
 * @param spentMinutes how long was worked on it, where that was measured
 * @param endedBy a person, or what ended it by itself; empty where nothing is known of it
 * @param from who asked; empty where it came from no message
 * @param note what was noted of it afterwards
 * @param undoneAt when its ending was taken back, so that it did not end then; null where that stands
 */
record EndedLine(
        Kind kind,
        UUID id,
        String title,
        FollowUpState state,
        @Nullable CloseReason closedAs,
        @Nullable UUID categoryId,
        @Nullable LocalDate replyDay,
        Stamps stamps,
        long spentMinutes,
        String endedBy,
        String from,
        String fromAddress,
        @Nullable UUID messageId,
        @Nullable UUID threadId,
        String note,
        @Nullable Instant undoneAt) {

    /** What has ended. */
    enum Kind {
        FOLLOW_UP,
        THREAD
    }

    /** The newest first; of one moment as the database orders their ids. */
    static final Comparator<EndedLine> NEWEST_FIRST = Comparator.comparing(
                    (EndedLine line) -> line.stamps().endedAt())
            .reversed()
            .thenComparing(line -> line.id().toString());
}
