package org.squallnote.core.access;

import java.util.Set;

/** The scopes of a token, as one column. */
public record Scopes(Set<Scope> all) {

    /** Copies the set. */
    public Scopes {
        all = Set.copyOf(all);
    }
}
