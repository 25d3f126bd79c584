package org.squallnote.core.record;

import java.time.Instant;
import java.util.UUID;
import org.squallnote.core.history.SubjectType;

/**
 * A change that was taken back.
 *
 * @param actor who made it
 * @param at when it was made
 * @param undoneAt when it was taken back
 * @param after what it changed to, as JSON
 */
public record UndoneChange(
        SubjectType subjectType, UUID subjectId, String actor, Instant at, Instant undoneAt, String after) {}
