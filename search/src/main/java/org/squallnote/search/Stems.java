package org.squallnote.search;

import java.io.IOException;
import org.apache.lucene.analysis.TokenFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.PositionIncrementAttribute;
import org.tartarus.snowball.ext.EnglishStemmer;

/**
 * Puts the stem of each word beside it, marked as such, where it differs: words are found by their other forms, and a
 * quoted phrase is still exact.
 */
final class Stems extends TokenFilter {

    /** No word begins with it. */
    static final char MARK = '~';

    private final CharTermAttribute term = addAttribute(CharTermAttribute.class);
    private final PositionIncrementAttribute position = addAttribute(PositionIncrementAttribute.class);
    private final EnglishStemmer stemmer = new EnglishStemmer();
    private String pending = "";
    private State state = new State();

    Stems(TokenStream input) {
        super(input);
    }

    static String stem(String word) {
        EnglishStemmer stemmer = new EnglishStemmer();
        stemmer.setCurrent(word);
        stemmer.stem();
        return stemmer.getCurrent();
    }

    @Override
    public boolean incrementToken() throws IOException {
        if (!pending.isEmpty()) {
            restoreState(state);
            term.setEmpty().append(MARK).append(pending);
            position.setPositionIncrement(0);
            pending = "";
            return true;
        }
        if (!input.incrementToken()) {
            return false;
        }
        stemmer.setCurrent(term.toString());
        stemmer.stem();
        String stem = stemmer.getCurrent();
        if (!term.toString().equals(stem)) {
            pending = stem;
            state = captureState();
        }
        return true;
    }

    @Override
    public void reset() throws IOException {
        super.reset();
        pending = "";
    }
}
