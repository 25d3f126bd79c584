package org.squallnote.server.command;

import java.util.UUID;

/**
 * What a change is answered with.
 *
 * @param commandId by which it can be undone
 * @param label what it did
 */
public record Done(UUID commandId, String label) {}
