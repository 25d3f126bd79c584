package org.squallnote.server.command;

import java.util.Set;
import java.util.UUID;
import org.squallnote.server.live.Topic;

/**
 * What a change is answered with.
 *
 * @param commandId by which it can be undone
 * @param label what it did
 * @param topics what a page has to load again
 */
public record Done(UUID commandId, String label, Set<Topic> topics) {}
