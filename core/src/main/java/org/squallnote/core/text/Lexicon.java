package org.squallnote.core.text;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Classes of words by name, as files of rules make them: {@code words gathering: <event> -<giving>}. */
public final class Lexicon {

    private final Map<String, Set<String>> classes = new HashMap<>();

    /** A lexicon that begins with these classes. */
    public Lexicon(Map<String, Set<String>> classes) {
        classes.forEach((name, words) -> this.classes.put(name, Set.copyOf(words)));
    }

    /**
     * Adds words to a class.
     *
     * @param line {@code NAME: words}, among them {@code <name>} for all of another class, {@code -<name>} to leave those out
     * @throws IllegalStateException when it is not written so, or speaks of a class that is not there yet
     */
    public void add(String line) {
        int colon = line.indexOf(':');
        if (colon < 0) {
            throw new IllegalStateException("Words need a name before a colon: " + line);
        }
        String name = line.substring(0, colon).strip();
        Set<String> words = new HashSet<>(classes.getOrDefault(name, Set.of()));
        for (String piece : line.substring(colon + 1).strip().split("\\s+")) {
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
    public Set<String> words(String reference) {
        Set<String> words = classes.get(reference.substring(1, reference.length() - 1));
        if (words == null) {
            throw new IllegalStateException("No words are called " + reference);
        }
        return words;
    }

    /** All words of all classes. */
    Stream<String> all() {
        return classes.values().stream().flatMap(Set::stream);
    }
}
