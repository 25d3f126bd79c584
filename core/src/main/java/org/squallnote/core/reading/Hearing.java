package org.squallnote.core.reading;

import java.util.Set;
import org.squallnote.core.text.PhraseOrigin;

/**
 * Which ways to ask count, by their names.
 *
 * @param lacking forms of rules that are as if they stood in no list, so that others may find the same ask
 * @param unheard ways to ask by which nothing is an ask, however else it could be found
 */
record Hearing(Set<PhraseOrigin> lacking, Set<String> unheard) {

    /** All of them count. */
    static final Hearing ALL = new Hearing(Set.of(), Set.of());
}
