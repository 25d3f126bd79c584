package org.squallnote.search;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;
import org.apache.lucene.util.automaton.Operations;

/** All words of an index, for finding those that are like another. They are gathered when one is looked for in vain. */
final class Vocabulary {

    private static final int SHORTEST_SIMILAR = 4;
    private static final int SHORTEST_PART = 3;
    private static final int LONG_WORD = 8;
    private static final int MOST_SIMILAR = 60;

    private final List<String> words;

    private Vocabulary(List<String> words) {
        this.words = words;
    }

    static Vocabulary of(IndexReader reader) throws IOException {
        Set<String> all = new HashSet<>();
        for (LeafReaderContext leaf : reader.leaves()) {
            for (String field : Queries.FIELDS.keySet()) {
                Terms terms = leaf.reader().terms(field);
                if (terms != null) {
                    TermsEnum each = terms.iterator();
                    for (BytesRef term = each.next(); term != null; term = each.next()) {
                        if (term.length > 0 && term.bytes[term.offset] != Stems.MARK) {
                            all.add(term.utf8ToString());
                        }
                    }
                }
            }
        }
        List<String> words = new ArrayList<>(all);
        words.sort(Comparator.comparing(String::length).thenComparing(Comparator.naturalOrder()));
        return new Vocabulary(List.copyOf(words));
    }

    /** All of them, the shortest first. */
    List<String> words() {
        return words;
    }

    /** Words with a slip or two of the keyboard behind their first letter, and words of which this is a part. */
    Set<String> like(String word) {
        Set<String> like = new LinkedHashSet<>();
        if (word.length() >= SHORTEST_SIMILAR) {
            int slips = word.length() >= LONG_WORD ? 2 : 1;
            CharacterRunAutomaton near = new CharacterRunAutomaton(Operations.determinize(
                    new LevenshteinAutomata(word.substring(1), true).toAutomaton(slips, word.substring(0, 1)),
                    Operations.DEFAULT_DETERMINIZE_WORK_LIMIT));
            for (String each : words) {
                if (each.charAt(0) == word.charAt(0)
                        && Math.abs(each.length() - word.length()) <= slips
                        && near.run(each)) {
                    like.add(each);
                }
            }
        }
        if (word.length() >= SHORTEST_PART) {
            for (String each : words) {
                if (like.size() >= MOST_SIMILAR) {
                    break;
                }
                if (each.length() > word.length() && each.contains(word)) {
                    like.add(each);
                }
            }
        }
        return like;
    }
}
