package org.squallnote.core.dates;

import java.util.BitSet;
import java.util.HashSet;
import java.util.Set;
import org.squallnote.core.rule.TermBook;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordSet;

/** Words that a date phrase can begin with, so that most words are passed over at once. */
final class DateStarts {

    /** How far behind a weak start the word stands that makes it a date: "in the next couple of working days". */
    private static final int FARTHEST_CORE = 8;

    private final TermBook terms;
    private final DateWords words;

    /** No starts, but what makes a weak one a date. */
    private final WordSet cores;

    /** Far more often something else; a core has to follow. One that is a core too needs no other. */
    private final WordSet weak;

    private final WordSet strong;

    DateStarts(TermBook terms, DateWords words) {
        this.terms = terms;
        this.words = words;
        cores = words.words(DateClass.DATE_CORE);
        Set<String> starts = new HashSet<>(words.words(DateClass.DATE_START).words());
        starts.addAll(words.known());
        Set<String> weakStarts =
                new HashSet<>(words.words(DateClass.WEAK_DATE_START).words());
        weakStarts.retainAll(starts);
        weakStarts.removeAll(cores.words());
        weak = WordSet.of(weakStarts);
        starts.removeAll(weakStarts);
        strong = WordSet.of(starts);
    }

    /** Where date phrases may begin in a sentence. */
    BitSet in(Sentence sentence) {
        BitSet starts = new BitSet(sentence.size());
        int core = Integer.MAX_VALUE;
        for (int i = sentence.size() - 1; i >= 0; i--) {
            Word word = sentence.at(i);
            boolean begins = strong.has(word) || isWritten(word) || (!weak.has(word) && terms.canBeginWith(word));
            if (begins || cores.has(word)) {
                core = i;
            }
            if (begins || (weak.has(word) && (core - i <= FARTHEST_CORE || isTheFirst(sentence, i)))) {
                starts.set(i);
            }
        }
        return starts;
    }

    /** "by the first", with nothing else that names a day. */
    private boolean isTheFirst(Sentence sentence, int i) {
        return sentence.norm(i).equals("the")
                && words.isWrittenOrdinal(sentence, i + 1)
                && DateLeads.isLimit(sentence, i - 1);
    }

    private boolean isWritten(Word word) {
        return word.isNumber() || word.norm().startsWith("mid-") || words.isSlipOfADay(word.norm());
    }
}
