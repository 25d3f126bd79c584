package org.squallnote.core.people;

import java.util.UUID;

/** A thread in which something is open with somebody: what I owe them, or what they owe me. */
public record OpenWith(UUID threadId, String party, boolean mine) {}
