package org.squallnote.core.intake;

import java.util.Optional;
import org.squallnote.core.thread.BaseSubject;

/** What subjects have in common that differ only in their numbers: "Tide report 48" and "Re: Tide report 49". */
public final class SubjectPattern {

    private static final int LONGEST = 300;

    private SubjectPattern() {}

    /** The pattern of a subject, lower case with {@code #} for each number; absent when too little is left to tell. */
    public static Optional<String> of(String subject) {
        String pattern = BaseSubject.of(subject).text().replaceAll("[0-9]+", "#");
        boolean telling = pattern.chars().filter(Character::isLetter).count() > 2;
        return telling
                ? Optional.of(pattern.length() > LONGEST ? pattern.substring(0, LONGEST) : pattern)
                : Optional.empty();
    }
}
