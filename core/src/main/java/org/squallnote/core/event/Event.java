package org.squallnote.core.event;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened.
 *
 * @param seq its number; later ones of an account have higher ones
 * @param kind what was done, or {@link #ARRIVED}
 * @param commandId the change, which can be taken back by it; null for what came from outside
 * @param messageId the message whose words the label holds; null where it holds none of others
 * @param label what happened, in words
 * @param subjects what it was about, the first of them
 * @param topics which parts of the account it touched, as the live stream names them
 */
public record Event(
        long seq,
        UUID owner,
        Instant at,
        String kind,
        @Nullable UUID commandId,
        @Nullable UUID messageId,
        String label,
        Subjects subjects,
        Topics topics) {

    /** A message came in that is to be decided. */
    public static final String ARRIVED = "message-arrived";

    /** Somebody tries whether events arrive. */
    public static final String TRIED = "trial";

    /** So long they can be asked for again. */
    public static final Duration KEPT = Duration.ofDays(14);
}
