package org.squallnote.core.dates;

import java.util.HashSet;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordList;

/** Words that a date phrase can begin with, so that most words are passed over at once. */
final class DateStarts {

    /** How far behind a weak start the word stands that makes it a date: "in the next couple of working days". */
    private static final int FARTHEST_CORE = 8;

    /** Starts that are far more often something else; a core has to follow. */
    private static final Set<String> WEAK = Set.copyOf(WordList.lines(DateStarts.class, "weak-date-starts.txt"));

    private static final Set<String> CORES = Set.copyOf(WordList.lines(DateStarts.class, "date-cores.txt"));
    private static final Set<String> KNOWN = known();

    private DateStarts() {}

    private static Set<String> known() {
        Set<String> known = new HashSet<>(WordList.lines(DateStarts.class, "date-starts.txt"));
        known.addAll(DateWords.known());
        return known;
    }

    /** Where date phrases may begin in a sentence. */
    static boolean[] in(Sentence sentence) {
        boolean[] starts = new boolean[sentence.size()];
        int core = Integer.MAX_VALUE;
        for (int i = starts.length - 1; i >= 0; i--) {
            String word = sentence.norm(i);
            boolean start = isOne(word);
            boolean weak = start && WEAK.contains(word);
            if ((start && !weak) || CORES.contains(word)) {
                core = i;
            }
            starts[i] = start && (!weak || core - i <= FARTHEST_CORE);
        }
        return starts;
    }

    private static boolean isOne(String word) {
        return !word.isEmpty()
                && (Character.isDigit(word.charAt(0)) || KNOWN.contains(word) || DateWords.isSlipOfADay(word));
    }
}
