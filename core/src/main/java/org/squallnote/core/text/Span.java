package org.squallnote.core.text;

/**
 * A stretch of a text.
 *
 * @param fromInclusive index of the first character, in UTF-16 units of the text as it was given
 * @param toExclusive index after the last character
 */
public record Span(int fromInclusive, int toExclusive) {

    /** Checks the order. */
    public Span {
        if (fromInclusive < 0 || toExclusive < fromInclusive) {
            throw new IllegalArgumentException("No span from " + fromInclusive + " to " + toExclusive);
        }
    }

    /** The words themselves. */
    public String in(String text) {
        return text.substring(fromInclusive, toExclusive);
    }

    /** The words on one line, white space folded. */
    public String foldedIn(String text) {
        return in(text).strip().replaceAll("\\s+", " ");
    }

    /** Whether the other one lies inside. */
    public boolean contains(Span other) {
        return fromInclusive <= other.fromInclusive && other.toExclusive <= toExclusive;
    }

    /** From the start of the first to the end of the last. */
    public Span to(Span other) {
        return new Span(Math.min(fromInclusive, other.fromInclusive), Math.max(toExclusive, other.toExclusive));
    }
}
