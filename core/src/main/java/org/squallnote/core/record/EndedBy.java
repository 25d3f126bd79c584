package org.squallnote.core.record;

import java.util.UUID;

/**
 * By whom something was ended.
 *
 * @param actor a person, or what ended it by itself
 */
public record EndedBy(UUID followUpId, String actor) {}
