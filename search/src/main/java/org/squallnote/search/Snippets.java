package org.squallnote.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.uhighlight.Passage;
import org.apache.lucene.search.uhighlight.PassageFormatter;
import org.apache.lucene.search.uhighlight.UnifiedHighlighter;

/** Finds the sentence of a text that says most of what was looked for. */
public final class Snippets {

    private static final int LONGEST_TEXT = 200_000;
    private static final int LONGEST_SNIPPET = 220;
    private static final int BEFORE = 60;

    private final Highlighter highlighter = new Highlighter();
    private final Query query;

    /**
     * Sentences for what was found.
     *
     * @param words as typed
     * @param similar for each word those that counted too
     */
    public Snippets(String words, Map<String, Set<String>> similar) {
        this.query = new Queries(similar).words(words);
    }

    private static final class Highlighter extends UnifiedHighlighter {

        Highlighter() {
            super(UnifiedHighlighter.builderWithoutSearcher(new WordAnalyzer(true))
                    .withMaxLength(LONGEST_TEXT)
                    .withFieldMatcher(field -> "text".equals(field))
                    .withBreakIterator(() -> BreakIterator.getSentenceInstance(Locale.UK))
                    .withMaxNoHighlightPassages(0)
                    .withFormatter(new Best()));
        }

        Snippet best(Query query, String text) throws IOException {
            Object found = highlightWithoutSearcher("text", query, text, 1);
            return found instanceof Snippet snippet ? snippet : new Snippet("", List.of());
        }
    }

    private static final class Best extends PassageFormatter {

        @Override
        public Snippet format(Passage[] passages, String content) {
            Passage best = passages[0];
            int first = best.getNumMatches() == 0 ? best.getStartOffset() : best.getMatchStarts()[0];
            int from = Math.max(best.getStartOffset(), atWord(content, first - BEFORE));
            int to = Math.min(best.getEndOffset(), from + LONGEST_SNIPPET);
            StringBuilder text = new StringBuilder(from > best.getStartOffset() ? "…" : "");
            List<Snippet.Span> hits = new ArrayList<>();
            int at = from;
            for (int i = 0; i < best.getNumMatches(); i++) {
                int start = Math.max(at, best.getMatchStarts()[i]);
                int end = best.getMatchEnds()[i];
                if (end <= at || end > to) {
                    continue;
                }
                add(text, content, at, start);
                int began = text.length();
                add(text, content, start, end);
                hits.add(new Snippet.Span(began, text.length()));
                at = end;
            }
            add(text, content, at, to);
            return new Snippet(text.toString().stripTrailing() + (to < best.getEndOffset() ? "…" : ""), hits);
        }

        /** Lines run on: a snippet is one line. */
        private static void add(StringBuilder text, String content, int from, int to) {
            for (int i = from; i < to; i++) {
                char next = content.charAt(i);
                boolean space = Character.isWhitespace(next);
                if (!space || (text.length() > 0 && text.charAt(text.length() - 1) != ' ')) {
                    text.append(space ? ' ' : next);
                }
            }
        }

        private static int atWord(String content, int at) {
            int from = Math.max(0, at);
            while (from > 0 && from < content.length() && !Character.isWhitespace(content.charAt(from - 1))) {
                from--;
            }
            return from;
        }
    }

    /** The sentence; empty where the text says nothing of it. */
    public Snippet of(String text) {
        if (text.isBlank()) {
            return new Snippet("", List.of());
        }
        try {
            return highlighter.best(query, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
