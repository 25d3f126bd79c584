package org.squallnote.core.capture;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.capture.Captured.Part;
import org.squallnote.core.text.Span;

/** The parts that were taken out of a line; what is left of it is the title. */
final class LineParts {

    private static final Pattern EMPTY_BRACKETS = Pattern.compile("\\s*\\(\\s*\\)");

    private final String line;
    private final BitSet taken = new BitSet();
    private final List<Part> parts = new ArrayList<>();

    LineParts(String line) {
        this.line = line;
    }

    /** The line as it was typed. */
    String line() {
        return line;
    }

    boolean isFree(int from, int to) {
        int next = taken.nextSetBit(from);
        return next < 0 || next >= to;
    }

    /** Takes a part out. */
    void take(Kind kind, int from, int to) {
        taken.set(from, to);
        parts.add(new Part(kind, new Span(from, to)));
    }

    /** Notes a part that stays in the title. */
    void note(Kind kind, int from, int to) {
        parts.add(new Part(kind, new Span(from, to)));
    }

    List<Part> all() {
        return parts.stream()
                .sorted(Comparator.comparingInt(part -> part.span().fromInclusive()))
                .toList();
    }

    /** The stretches between commas and semicolons; "1,5 h" is one stretch. */
    List<Span> segments() {
        List<Span> segments = new ArrayList<>();
        int from = 0;
        for (int i = 0; i <= line.length(); i++) {
            boolean end = i == line.length() || line.charAt(i) == ';' || (line.charAt(i) == ',' && !isDecimal(i));
            if (end) {
                Span trimmed = trimmed(from, i);
                if (trimmed.fromInclusive() < trimmed.toExclusive()) {
                    segments.add(trimmed);
                }
                from = i + 1;
            }
        }
        return segments;
    }

    private boolean isDecimal(int comma) {
        return comma > 0
                && comma + 1 < line.length()
                && Character.isDigit(line.charAt(comma - 1))
                && Character.isDigit(line.charAt(comma + 1));
    }

    private Span trimmed(int from, int to) {
        int start = from;
        int end = to;
        while (start < end && Character.isWhitespace(line.charAt(start))) {
            start++;
        }
        while (end > start && (Character.isWhitespace(line.charAt(end - 1)) || line.charAt(end - 1) == '.')) {
            end--;
        }
        return new Span(start, end);
    }

    /** Whether nothing but space and marks stands between a place and the end of its segment, taken parts aside. */
    boolean endsSegment(int to) {
        for (int i = to; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == ',' || c == ';') {
                return true;
            }
            if (!taken.get(i) && !Character.isWhitespace(c) && c != '.' && c != '!') {
                return false;
            }
        }
        return true;
    }

    /** Whether a segment begins there, taken parts aside. */
    boolean startsSegment(int from) {
        for (int i = from - 1; i >= 0; i--) {
            char c = line.charAt(i);
            if (c == ',' || c == ';') {
                return true;
            }
            if (!taken.get(i) && !Character.isWhitespace(c)) {
                return false;
            }
        }
        return true;
    }

    /** The line with commas where parts were taken out, so that nothing is read across them. */
    String masked() {
        StringBuilder masked = new StringBuilder(line);
        taken.stream().forEach(i -> masked.setCharAt(i, ','));
        return masked.toString();
    }

    /** What is left, segment by segment. */
    String rest() {
        StringBuilder rest = new StringBuilder();
        for (Span segment : segments()) {
            StringBuilder words = new StringBuilder();
            for (int i = segment.fromInclusive(); i < segment.toExclusive(); i++) {
                words.append(taken.get(i) ? ' ' : line.charAt(i));
            }
            String folded = words.toString().replaceAll("\\s+", " ").strip();
            if (!folded.isEmpty()) {
                rest.append(rest.isEmpty() ? "" : ", ").append(folded);
            }
        }
        return EMPTY_BRACKETS.matcher(rest).replaceAll("").strip();
    }
}
