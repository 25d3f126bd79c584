package org.squallnote.core.reading;

import java.util.Set;
import org.squallnote.core.text.PhraseBook;

/** The phrase lists of this package, read once. */
final class Phrases {

    /** How asks begin, and what looks like one and is none. */
    static final PhraseBook ASKS = PhraseBook.of(Phrases.class, "sets.txt", "asks.txt", "no-asks.txt");

    /** What a writer does besides asking. */
    static final PhraseBook ACTS = PhraseBook.of(Phrases.class, "sets.txt", "acts.txt");

    static final Set<String> GIVING = ASKS.set("giving");
    static final Set<String> HAPPENING = ASKS.set("happening");
    static final Set<String> EVENT = ASKS.set("event");
    static final Set<String> IMPERATIVE = ASKS.set("imperative");
    static final Set<String> IMPERATIVE_OR_NOUN = ASKS.set("imperative-noun");
    static final Set<String> OBJECT = ASKS.set("object");
    static final Set<String> MODAL = ASKS.set("modal");

    private Phrases() {}
}
