package org.squallnote.core.message;

import java.util.UUID;

/** A message that is stored, by that which makes it the same wherever it is found. */
public record KnownMessage(String identity, UUID id) {}
