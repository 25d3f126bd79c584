package org.squallnote.core.reminder;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

/**
 * A reminder of a follow-up.
 *
 * @param at the moment, of one at a moment
 * @param minutesBefore how long before the reply-by date, of one that goes by it
 * @param always whether it may come outside of working time
 * @param setAt when it was set
 * @param shownAt when it came up; then it does so no more
 * @param settled whether somebody has seen to it
 */
public record Reminder(
        UUID id,
        UUID followUpId,
        Kind kind,
        @Nullable Instant at,
        @Nullable Integer minutesBefore,
        boolean always,
        Instant setAt,
        @Nullable Instant shownAt,
        boolean settled) {

    /** By what it comes. */
    public enum Kind {
        /** At a moment. */
        AT,
        /** Before the reply-by date, wherever that moves. */
        BEFORE,
        /** When somebody writes in the thread of the message. */
        ANSWERED
    }

    /**
     * When it comes up.
     *
     * @param answeredAt when somebody wrote in the thread after it was set
     * @return absent where nothing is to come, or nobody knows when
     */
    public Optional<Instant> due(FollowUp followUp, Optional<Instant> answeredAt, WorkingTime workingTime) {
        if (settled || shownAt != null || followUp.state() != FollowUpState.OPEN) {
            return Optional.empty();
        }
        ZoneId zone = workingTime.zone();
        return switch (kind) {
            case AT -> Optional.ofNullable(at).map(it -> notEarlier(it, workingTime));
            case ANSWERED -> answeredAt.map(it -> notEarlier(it, workingTime));
            case BEFORE ->
                followUp.replyBy()
                        .map(date -> moment(date, workingTime).minusMinutes(minutesBefore == null ? 0 : minutesBefore))
                        .map(it -> always ? it : workingTime.lastWorkingMomentUpTo(it))
                        .map(it -> it.atZone(zone).toInstant());
        };
    }

    /** What is to be answered on a day is so until work ends. */
    private static LocalDateTime moment(ReplyBy date, WorkingTime workingTime) {
        LocalTime time = date.time()
                .or(() -> workingTime.hoursOn(date.day()).map(WorkingTime.Hours::toExclusive))
                .orElse(LocalTime.of(17, 0));
        return date.day().atTime(time);
    }

    private Instant notEarlier(Instant wanted, WorkingTime workingTime) {
        LocalDateTime local = LocalDateTime.ofInstant(wanted, workingTime.zone());
        return always
                ? wanted
                : workingTime
                        .firstWorkingMomentFrom(local)
                        .atZone(workingTime.zone())
                        .toInstant();
    }

    /** The same once it has come up. */
    public Reminder shown(Instant when) {
        return new Reminder(id, followUpId, kind, at, minutesBefore, always, setAt, when, settled);
    }

    /** The same once somebody has seen to it. */
    public Reminder seenTo() {
        return new Reminder(id, followUpId, kind, at, minutesBefore, always, setAt, shownAt, true);
    }

    /** The same for later. Who asks for a moment means that one, whether it lies in working time or not. */
    public Reminder putOff(Instant until) {
        return new Reminder(id, followUpId, Kind.AT, until, null, true, setAt, null, false);
    }
}
