package org.squallnote.core.dates;

import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.squallnote.core.rule.TermBook;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;

/** Words that a date phrase can begin with, so that most words are passed over at once. */
final class DateStarts {

    /** How far behind a weak start the word stands that makes it a date: "in the next couple of working days". */
    private static final int FARTHEST_CORE = 8;

    private static final List<String> CORE_WORDS = WordList.lines(DateStarts.class, "date-cores.txt");

    /** No starts, but what makes a weak one a date. */
    private static final WordSet CORES = WordSet.of(CORE_WORDS);

    /** Far more often something else; a core has to follow. One that is a core too needs no other. */
    private static final WordSet WEAK = WordSet.of(weak());

    private static final WordSet STRONG = WordSet.of(strong());

    private DateStarts() {}

    private static Set<String> starts() {
        Set<String> starts = new HashSet<>(WordList.lines(DateStarts.class, "date-starts.txt"));
        starts.addAll(DateWords.known());
        return starts;
    }

    private static Set<String> weak() {
        Set<String> weak = new HashSet<>(WordList.lines(DateStarts.class, "weak-date-starts.txt"));
        weak.retainAll(starts());
        CORE_WORDS.forEach(weak::remove);
        return weak;
    }

    private static Set<String> strong() {
        Set<String> strong = starts();
        strong.removeAll(weak());
        return strong;
    }

    /** Where date phrases may begin in a sentence. */
    static BitSet in(Sentence sentence, TermBook terms) {
        BitSet starts = new BitSet(sentence.size());
        int core = Integer.MAX_VALUE;
        for (int i = sentence.size() - 1; i >= 0; i--) {
            Word word = sentence.at(i);
            boolean strong = STRONG.has(word) || isWritten(word) || (!WEAK.has(word) && terms.canBeginWith(word));
            if (strong || CORES.has(word)) {
                core = i;
            }
            if (strong || (WEAK.has(word) && (core - i <= FARTHEST_CORE || isTheFirst(sentence, i)))) {
                starts.set(i);
            }
        }
        return starts;
    }

    /** "by the first", with nothing else that names a day. */
    private static boolean isTheFirst(Sentence sentence, int i) {
        return sentence.norm(i).equals("the")
                && DateWords.isWrittenOrdinal(sentence, i + 1)
                && DateLeads.isLimit(sentence, i - 1);
    }

    private static boolean isWritten(Word word) {
        return word.isNumber() || word.norm().startsWith("mid-") || DateWords.isSlipOfADay(word.norm());
    }
}
