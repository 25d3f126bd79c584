package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;

/**
 * A message text cut into what the writer wrote now and what is only carried along: quoted lines, attribution lines,
 * forwarded blocks, the signature, legal footers.
 *
 * @param text the whole text as it was given
 * @param lines its lines in order, each with what it is
 */
public record OwnWords(String text, List<Line> lines) {

    /** What a line is. */
    public enum Kind {
        OWN,
        QUOTED,
        ATTRIBUTION,
        FORWARDED,
        SIGNATURE
    }

    /**
     * A line of the text.
     *
     * @param span where it stands, without its end
     * @param kind what it is
     */
    public record Line(Span span, Kind kind) {}

    /** Copies the lines. */
    public OwnWords {
        lines = List.copyOf(lines);
    }

    /** Whether nothing was written but emojis: a thumb put up, a heart. */
    boolean areOnlyPictures() {
        boolean some = false;
        for (Span line : ownLines()) {
            for (int i = line.fromInclusive(); i < line.toExclusive(); i++) {
                char c = text.charAt(i);
                boolean picture = SentenceSplitter.isPicture(c);
                if (!picture && !Character.isWhitespace(c) && Character.getType(c) != Character.FORMAT) {
                    return false;
                }
                some |= picture;
            }
        }
        return some;
    }

    /** Cuts a plain text of an unknown writer. */
    public static OwnWords of(String text) {
        return of(text, "");
    }

    /**
     * Cuts a plain text.
     *
     * @param writer the name of the sender, by which a line that holds only it is known as the end of the letter; may
     *     be empty
     */
    public static OwnWords of(String text, String writer) {
        List<Span> spans = SentenceSplitter.linesOf(text);
        List<String> bare = new ArrayList<>(spans.size());
        spans.forEach(span -> bare.add(QuotationLines.bare(text, span)));
        Kind[] kinds = new Kind[spans.size()];
        boolean forwarded = false;
        for (int i = 0; i < kinds.length; i++) {
            if (kinds[i] != null) {
                continue;
            }
            if (!forwarded && bare.get(i).isEmpty()) {
                kinds[i] = Kind.OWN;
                continue;
            }
            forwarded |= QuotationLines.startsForward(bare, i);
            int attribution = forwarded ? 0 : QuotationLines.attributionAt(bare, i);
            if (forwarded) {
                kinds[i] = Kind.FORWARDED;
            } else if (QuotationLines.isQuoted(bare.get(i))) {
                kinds[i] = Kind.QUOTED;
            } else if (attribution > 0) {
                for (int j = 0; j < attribution; j++) {
                    kinds[i + j] = Kind.ATTRIBUTION;
                }
            } else {
                kinds[i] = Kind.OWN;
            }
        }
        Signatures.mark(bare, kinds, writer);
        List<Line> lines = new ArrayList<>(kinds.length);
        for (int i = 0; i < kinds.length; i++) {
            lines.add(new Line(spans.get(i), kinds[i]));
        }
        return new OwnWords(text, lines);
    }

    /** The writer's own words, answers between quoted lines included. */
    public String own() {
        return joined(true);
    }

    /** The writer's own words; all of the text where it has none. */
    public String ownOrAll() {
        String own = own();
        return own.isEmpty() ? text : own;
    }

    /** Everything else, in its order. */
    public String carried() {
        return joined(false);
    }

    /** Where stretches of the text stand in {@link #own()}. */
    public OwnPlaces places() {
        return new OwnPlaces(this);
    }

    /** Where the own lines stand. */
    public List<Span> ownLines() {
        return linesOf(Kind.OWN);
    }

    /** Where the lines of that kind stand. */
    public List<Span> linesOf(Kind kind) {
        List<Span> spans = new ArrayList<>();
        for (Line line : lines) {
            if (line.kind() == kind) {
                spans.add(line.span());
            }
        }
        return spans;
    }

    private String joined(boolean own) {
        StringBuilder out = new StringBuilder();
        for (Line line : lines) {
            if ((line.kind() == Kind.OWN) == own) {
                out.append(line.span().in(text)).append('\n');
            }
        }
        return out.toString().strip();
    }
}
