package org.squallnote.core.record;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUpState;

/**
 * Which of what has ended is wanted; null where it does not matter.
 *
 * @param fromInclusive when it ended at the earliest
 * @param toExclusive when it had ended
 * @param addresses those of the person who asked; nothing for everybody
 */
public record RecordFilter(
        @Nullable Instant fromInclusive,
        @Nullable Instant toExclusive,
        @Nullable UUID categoryId,
        @Nullable FollowUpState state,
        List<String> addresses) {

    /** Copies the list. */
    public RecordFilter {
        addresses = List.copyOf(addresses);
    }
}
