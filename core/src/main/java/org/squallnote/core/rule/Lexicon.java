package org.squallnote.core.rule;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Classes of words by name. */
final class Lexicon {

    private final Map<String, Set<String>> classes = new HashMap<>();

    /** A lexicon that begins with these classes. */
    Lexicon(Map<String, Set<String>> classes) {
        classes.forEach((name, words) -> this.classes.put(name, Set.copyOf(words)));
    }

    /** Adds a class: words, {@code <name>} for all of another class, {@code -<name>} for what is left without those. */
    void add(String name, String line) {
        Set<String> words = new HashSet<>(classes.getOrDefault(name, Set.of()));
        for (String piece : line.split("\\s+")) {
            if (piece.startsWith("-<")) {
                words.removeAll(words(piece.substring(1)));
            } else if (piece.startsWith("<")) {
                words.addAll(words(piece));
            } else {
                words.add(piece);
            }
        }
        classes.put(name, Set.copyOf(words));
    }

    /** The words of {@code <name>}. */
    Set<String> words(String reference) {
        Set<String> words = classes.get(reference.substring(1, reference.length() - 1));
        if (words == null) {
            throw new IllegalStateException("No words are called " + reference);
        }
        return words;
    }
}
