package org.squallnote.core.thread;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;

/** The moment up to which I have dealt with a thread: what others wrote after it is new to me. */
public final class LastDecided {

    private LastDecided() {}

    /** My last decision about one of its messages, or my own last message; absent where there is neither. */
    public static Optional<Instant> of(List<StoredMessage> messages) {
        return messages.stream()
                .flatMap(message -> message.direction() == Direction.OUTGOING
                        ? Stream.of(message.sentAt())
                        : Stream.ofNullable(message.decidedAt()))
                .max(Instant::compareTo);
    }
}
