package org.squallnote.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.LowerCaseFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.miscellaneous.ASCIIFoldingFilter;
import org.apache.lucene.analysis.standard.StandardTokenizer;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;

/** Words by the rules of Unicode (UAX 29), without case and accents. */
final class WordAnalyzer extends Analyzer {

    private final boolean stems;

    /** @param stems whether the stem of each word stands beside it, as in the index */
    WordAnalyzer(boolean stems) {
        this.stems = stems;
    }

    @Override
    protected TokenStreamComponents createComponents(String fieldName) {
        StandardTokenizer source = new StandardTokenizer();
        TokenStream folded = new ASCIIFoldingFilter(new LowerCaseFilter(source));
        return new TokenStreamComponents(source, stems ? new Stems(folded) : folded);
    }

    /** The words of a text, in order. */
    List<String> words(String text) {
        List<String> words = new ArrayList<>();
        try (TokenStream stream = tokenStream("", text)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                words.add(term.toString());
            }
            stream.end();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return words;
    }
}
