package org.squallnote.core.search;

import java.util.UUID;

/**
 * A search under a name.
 *
 * @param words what was typed; may be empty where the filter says enough
 */
public record KeptSearch(UUID id, UUID owner, String name, String words, Filter filter) {}
