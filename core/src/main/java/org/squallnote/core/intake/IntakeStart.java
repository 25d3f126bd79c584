package org.squallnote.core.intake;

import java.time.Duration;
import java.time.Instant;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;

/**
 * Says which messages come to Intake when a source is read for the first time: the recent ones only, so that
 * nobody starts with a quarter of a year to decide. Older ones are kept, threaded and searchable all the same.
 */
public final class IntakeStart {

    /** How far back Intake reaches when a source is added. */
    public static final Duration REACH = Duration.ofDays(14);

    private IntakeStart() {}

    /**
     * The first decision state of a message.
     *
     * @param sourceAddedAt when the source was added
     * @param answeredSince whether a message of mine in the same thread is newer than this one
     */
    public static Decision of(Direction direction, Instant sentAt, Instant sourceAddedAt, boolean answeredSince) {
        boolean recent = !sentAt.isBefore(sourceAddedAt.minus(REACH));
        return direction == Direction.INCOMING && recent && !answeredSince ? Decision.UNDECIDED : Decision.NOT_ASKED;
    }
}
