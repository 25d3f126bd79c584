package org.squallnote.store.reading;

import java.util.UUID;
import org.squallnote.core.turn.Facts;

/** The facts of a message. */
public record StoredFacts(UUID messageId, Facts facts) {}
