package org.squallnote.core.reading;

import java.util.HashSet;
import java.util.Set;
import org.squallnote.core.text.PhraseBook;

/** The phrase lists of this package, read once. */
final class Phrases {

    /** How asks begin, what looks like one and is none, and what a writer does besides asking; each by its label. */
    static final PhraseBook BOOK = PhraseBook.of(Phrases.class, "sets.txt", "asks.txt", "no-asks.txt", "acts.txt");

    static final Set<String> GIVING = withGerunds(BOOK.set("giving"));
    static final Set<String> HAPPENING = BOOK.set("happening");
    static final Set<String> EVENT = BOOK.set("event");
    static final Set<String> IMPERATIVE = BOOK.set("imperative");
    static final Set<String> IMPERATIVE_OR_NOUN = BOOK.set("imperative-noun");
    static final Set<String> USABLE = BOOK.set("usable");
    static final Set<String> WEEKDAY = BOOK.set("weekday");
    static final Set<String> OBJECT = BOOK.set("object");
    static final Set<String> MODAL = BOOK.set("modal");

    private Phrases() {}

    /** "phoning" sets a day as "phone" does. */
    private static Set<String> withGerunds(Set<String> verbs) {
        Set<String> all = new HashSet<>(verbs);
        for (String verb : verbs) {
            char last = verb.charAt(verb.length() - 1);
            all.add((last == 'e' ? verb.substring(0, verb.length() - 1) : verb) + "ing");
            all.add(verb + last + "ing");
        }
        return all;
    }
}
