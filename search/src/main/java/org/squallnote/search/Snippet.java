package org.squallnote.search;

import java.util.List;

/**
 * The words of a text around what was looked for.
 *
 * @param hits where they stand in it, as first and behind the last character
 */
public record Snippet(String text, List<Span> hits) {

    /** Copies the list. */
    public Snippet {
        hits = List.copyOf(hits);
    }

    /** Behind the last is not part of it. */
    public record Span(int from, int to) {}
}
