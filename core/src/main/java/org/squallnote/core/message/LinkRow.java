package org.squallnote.core.message;

import java.util.UUID;

/** A Message-ID and the group of connected messages it belongs to. */
public record LinkRow(String identity, UUID component) {}
