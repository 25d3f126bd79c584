package org.squallnote.core.reading;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.text.Span;

/**
 * Where stretches of a text stand in {@link OwnWords#own()}. Made once for a text; a place is then found in a time that
 * does not depend on how long the text is.
 */
public final class OwnPlaces {

    private final List<Span> lines;

    /** Where each line begins in the own words. */
    private final int[] starts;

    OwnPlaces(OwnWords words) {
        lines = words.ownLines();
        starts = new int[lines.size()];
        int at = 0;
        int leading = -1;
        for (int i = 0; i < starts.length; i++) {
            starts[i] = at;
            String line = lines.get(i).in(words.text());
            if (leading < 0 && !line.isBlank()) {
                leading = at + line.length() - line.stripLeading().length();
            }
            at += line.length() + 1;
        }
        // The white space that the own words leave out at their start.
        for (int i = 0; i < starts.length; i++) {
            starts[i] -= Math.max(leading, 0);
        }
    }

    /**
     * Where a stretch of the text stands in the own words.
     *
     * @return absent when it touches no own line
     */
    public Optional<Span> of(Span span) {
        int from = -1;
        int to = -1;
        for (int i = firstEndingAfter(span.fromInclusive());
                i < starts.length && lines.get(i).fromInclusive() < span.toExclusive();
                i++) {
            Span line = lines.get(i);
            if (line.fromInclusive() < line.toExclusive()) {
                from = from < 0 ? starts[i] + Math.max(0, span.fromInclusive() - line.fromInclusive()) : from;
                to = starts[i] + Math.min(line.toExclusive(), span.toExclusive()) - line.fromInclusive();
            }
        }
        return from < 0 || to <= from ? Optional.empty() : Optional.of(new Span(from, to));
    }

    private int firstEndingAfter(int place) {
        int low = 0;
        int high = starts.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (lines.get(middle).toExclusive() > place) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }
}
