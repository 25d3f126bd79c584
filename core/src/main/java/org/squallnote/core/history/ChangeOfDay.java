package org.squallnote.core.history;

import java.time.Instant;
import java.util.UUID;

/**
 * A change among those of a day.
 *
 * @param actor who made it
 * @param undone whether it was taken back
 */
public record ChangeOfDay(UUID commandId, Instant at, String actor, String label, boolean undone) {}
