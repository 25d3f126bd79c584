package org.squallnote.server.source;

import java.time.Instant;
import java.util.Optional;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.outbox.OutboxRunner;

/** How sources of one kind are read and sent by. A kind without one is neither. */
public interface SourceEngine {

    /**
     * What runs for a source.
     *
     * @param outbox what sends by it, where anything does
     */
    record Running(AutoCloseable sync, Optional<OutboxRunner> outbox) {}

    SourceKind kind();

    /**
     * Starts reading and sending.
     *
     * @param since from when on messages are read
     */
    Running start(Source source, Instant since);

    /** A source was disconnected; its engine has ended. Messages stay. */
    default void disconnected(Source source) {}
}
