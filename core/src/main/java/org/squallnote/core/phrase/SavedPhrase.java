package org.squallnote.core.phrase;

import java.util.UUID;

/**
 * What is often written.
 *
 * @param text with fields in braces, such as {@code {name}}
 */
public record SavedPhrase(UUID id, UUID owner, String name, String text) {}
