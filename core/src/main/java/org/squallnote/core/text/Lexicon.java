package org.squallnote.core.text;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Classes of words by name, as files of rules make them: {@code words gathering: <event> -<giving>}. A class that a file
 * makes itself hides one of the same name that was given to it.
 */
public final class Lexicon {

    private final Map<String, Set<String>> given;
    private final Map<String, Set<String>> own = new HashMap<>();

    /** A lexicon beside these classes. */
    public Lexicon(Map<String, Set<String>> given) {
        this.given = Map.copyOf(given);
    }

    /**
     * Adds words to a class.
     *
     * @param line {@code NAME: words}, among them {@code <name>} for all of another class, {@code -<name>} to leave those out,
     *     {@code <name>+ending} for all of another class with an ending
     * @throws IllegalStateException when it is not written so, or speaks of a class that is not there yet
     */
    public void add(String line) {
        int colon = line.indexOf(':');
        if (colon < 0) {
            throw new IllegalStateException("Words need a name before a colon: " + line);
        }
        String name = line.substring(0, colon).strip();
        Set<String> words = new HashSet<>(own.getOrDefault(name, Set.of()));
        for (String piece : line.substring(colon + 1).strip().split("\\s+")) {
            if (piece.startsWith("-<")) {
                words.removeAll(words(piece.substring(1)));
            } else if (piece.contains(">+")) {
                int end = piece.indexOf(">+") + 1;
                words(piece.substring(0, end)).forEach(word -> words.addAll(with(word, piece.substring(end + 1))));
            } else if (piece.startsWith("<")) {
                words.addAll(words(piece));
            } else {
                words.add(piece);
            }
        }
        own.put(name, Set.copyOf(words));
    }

    /** "phoning" of "phone", "getting" and "geting" of "get": which of them is written, no rule needs to know. */
    private static List<String> with(String word, String ending) {
        char last = word.charAt(word.length() - 1);
        Stream<String> all = ending.length() == 1
                ? Stream.of(word + ending)
                : Stream.of((last == 'e' ? word.substring(0, word.length() - 1) : word) + ending, word + last + ending);
        // "lets" is read as "let's".
        return all.filter(Vocabulary::isWrittenRight).toList();
    }

    /** All classes by their names, those that were given too. */
    Map<String, Set<String>> classes() {
        Map<String, Set<String>> all = new HashMap<>(given);
        all.putAll(own);
        return all;
    }

    /** Whether there is a class of that name. */
    public boolean has(String name) {
        return own.containsKey(name) || given.containsKey(name);
    }

    /** The words of {@code <name>}. */
    public Set<String> words(String reference) {
        String name = reference.substring(1, reference.length() - 1);
        Set<String> words = own.getOrDefault(name, given.get(name));
        if (words == null) {
            throw new IllegalStateException("No words are called " + reference);
        }
        return words;
    }

    /** All words of all classes. */
    Stream<String> all() {
        return classes().values().stream().flatMap(Set::stream);
    }
}
