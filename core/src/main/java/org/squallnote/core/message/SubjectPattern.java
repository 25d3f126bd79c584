package org.squallnote.core.message;

import java.util.Optional;

/** What subjects have in common that differ only in their numbers: "Tide report 48" and "Re: Tide report 49". */
public final class SubjectPattern {

    private static final int LONGEST = 300;

    private SubjectPattern() {}

    /**
     * The pattern, with {@code #} for each number; absent when too little is left to tell.
     *
     * @param baseSubject the subject as threads compare it
     */
    public static Optional<String> of(String baseSubject) {
        String pattern = numbersAside(baseSubject);
        boolean telling = pattern.chars().filter(Character::isLetter).count() > 2;
        return telling ? Optional.of(pattern) : Optional.empty();
    }

    /** The same of any subject, telling or not. */
    static String numbersAside(String baseSubject) {
        String pattern = baseSubject.replaceAll("[0-9]+", "#");
        return pattern.length() > LONGEST ? pattern.substring(0, LONGEST) : pattern;
    }
}
