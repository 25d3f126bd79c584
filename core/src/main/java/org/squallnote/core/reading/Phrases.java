package org.squallnote.core.reading;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseBook;
import org.squallnote.core.text.WordSet;

/** The phrase lists of this package, read once. */
final class Phrases {

    /** How asks begin, what looks like one and is none, and what a writer does besides asking; each by its label. */
    static final PhraseBook BOOK =
            PhraseBook.of(Phrases.class, "words.txt", "asks.rules", "no-asks.rules", "acts.rules");

    static final WordSet GIVING = WordSet.of(withGerunds(BOOK.words("giving")));
    static final WordSet HAPPENING = BOOK.set("happening");
    static final WordSet EVENT = BOOK.set("event");
    static final WordSet IMPERATIVE = BOOK.set("imperative");
    static final WordSet IMPERATIVE_OR_NOUN = BOOK.set("imperative-noun");
    static final WordSet USABLE = BOOK.set("usable");
    static final WordSet WEEKDAY = BOOK.set("weekday");
    static final WordSet OBJECT = BOOK.set("object");
    static final WordSet AUDIENCE = BOOK.set("audience");
    static final WordSet MODAL = BOOK.set("modal");

    private Phrases() {}

    /** The classes of words that rules may speak of. */
    static Map<String, Set<String>> classes() {
        Map<String, Set<String>> classes = new HashMap<>();
        for (String name : List.of("event", "happening", "usable", "object", "helpers", "modal", "imperative")) {
            classes.put(name, BOOK.words(name));
        }
        classes.put("giving", GIVING.words());
        Set<String> happens = new HashSet<>(HAPPENING.words());
        HAPPENING.words().forEach(verb -> happens.add(verb + "s"));
        classes.put("happens", happens);
        classes.put("lead-in", Clauses.leadIns());
        return classes;
    }

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
