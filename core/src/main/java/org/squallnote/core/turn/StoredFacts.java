package org.squallnote.core.turn;

import java.util.UUID;

/** The facts of a message. */
public record StoredFacts(UUID messageId, Facts facts) {}
