package org.squallnote.core.followup;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;

/**
 * What is decided about some follow-ups at once.
 *
 * @param kind what; the one value that belongs to it is there
 */
public record Choice(
        Kind kind,
        @Nullable LocalDate day,
        @Nullable UUID categoryId,
        @Nullable Priority priority,
        @Nullable String place,
        @Nullable Party person,
        @Nullable Integer minutes) {

    /** What can be decided. */
    public enum Kind {
        DONE,
        DROP,
        /** Out of sight until a day. */
        PUT_OFF,
        /** To be answered by a day; without one by none. */
        REPLY_BY,
        CATEGORY,
        PRIORITY,
        PLACE,
        /** Somebody else whom it concerns first. */
        PERSON,
        EFFORT
    }

    /** A follow-up as it is after that. */
    public FollowUp applied(FollowUp followUp, Instant now) {
        return switch (kind) {
            case DONE -> followUp.ended(FollowUpState.DONE, now);
            case DROP -> followUp.ended(FollowUpState.DROPPED, now);
            case PUT_OFF -> followUp.startingOn(day);
            case REPLY_BY -> followUp.replyBy(day, null);
            case CATEGORY -> followUp.inCategory(categoryId);
            case PRIORITY -> followUp.weighing(priority == null ? Priority.NORMAL : priority);
            case PLACE -> followUp.doneAt(place == null ? "" : place.strip());
            case PERSON -> followUp.concerning(person);
            case EFFORT -> followUp.taking(minutes);
        };
    }
}
