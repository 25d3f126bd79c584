package org.squallnote.core.message;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Somebody named behind an {@code @} in a chat text.
 *
 * @param toExclusive index after the name
 * @param person who
 */
public record Mention(int toExclusive, Party person) {

    /**
     * Whoever is mentioned where an {@code @} stands: by name, by user id, or by the part of the id before its colon. The
     * longest name that fits counts.
     *
     * @param at index of the {@code @}
     * @param people those who may be meant
     */
    public static Optional<Mention> at(String text, int at, List<Party> people) {
        return people.stream()
                .flatMap(person -> names(person)
                        .filter(name -> isNamed(text, at + 1, name))
                        .map(name -> new Mention(at + 1 + name.length(), person)))
                .max(Comparator.comparingInt(Mention::toExclusive));
    }

    /** Whether a word stands there by itself. */
    public static boolean isNamed(String text, int at, String name) {
        int end = at + name.length();
        return text.regionMatches(true, at, name, 0, name.length())
                && (end == text.length() || !Character.isLetterOrDigit(text.charAt(end)));
    }

    private static Stream<String> names(Party person) {
        String id = person.address().startsWith("@") ? person.address().substring(1) : person.address();
        int colon = id.indexOf(':');
        return Stream.of(person.name(), id, colon > 0 ? id.substring(0, colon) : "")
                .filter(name -> !name.isBlank());
    }
}
