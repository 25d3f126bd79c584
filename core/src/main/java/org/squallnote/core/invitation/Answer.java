package org.squallnote.core.invitation;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What I have answered to an invitation.
 *
 * @param id the same for the same meeting
 * @param recurrenceId which time of the series, empty for the whole
 * @param messageId the message that was answered
 * @param calendarId the calendar that the meeting was put into
 */
public record Answer(
        UUID id,
        String uid,
        String recurrenceId,
        Participation participation,
        UUID messageId,
        @Nullable UUID calendarId) {

    /** The same after the meeting has become another one. */
    public Answer asking(UUID newMessageId) {
        return new Answer(id, uid, recurrenceId, Participation.NEEDS_ACTION, newMessageId, calendarId);
    }
}
