package org.squallnote.core.reading;

/**
 * A sentence in which somebody wants something of me.
 *
 * @param sentence the sentence as written, white space folded
 */
public record Ask(String sentence) {}
