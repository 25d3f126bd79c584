package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import org.squallnote.core.text.Span;

/** Knows from the line above a quotation whether it is mine that is quoted. */
final class Attributions {

    private Attributions() {}

    /** Whether the first attribution of the text names me: the message answers mine. */
    static boolean quotesMe(OwnWords words, Me me) {
        List<Span> lines = words.linesOf(OwnWords.Kind.ATTRIBUTION);
        if (lines.isEmpty()) {
            return false;
        }
        StringBuilder first = new StringBuilder();
        for (int i = 0; i < Math.min(3, lines.size()); i++) {
            first.append(lines.get(i).in(words.text()).toLowerCase(Locale.ROOT)).append(' ');
        }
        String line = first.toString();
        return me.addresses().stream().anyMatch(line::contains)
                || (!me.name().isBlank() && line.contains(me.name().toLowerCase(Locale.ROOT)));
    }
}
