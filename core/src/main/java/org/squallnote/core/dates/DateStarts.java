package org.squallnote.core.dates;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordList;

/** Words that a date phrase can begin with, so that most words are passed over at once. */
final class DateStarts {

    /** How far behind a weak start the word stands that makes it a date: "in the next couple of working days". */
    private static final int FARTHEST_CORE = 8;

    private enum Sort {
        START,
        /** Far more often something else; a core has to follow. */
        WEAK,
        /** No start, but what makes a weak one a date. */
        CORE
    }

    private static final Map<String, Sort> SORTS = sorts();

    private DateStarts() {}

    private static Map<String, Sort> sorts() {
        Map<String, Sort> sorts = new HashMap<>();
        Set<String> cores = Set.copyOf(WordList.lines(DateStarts.class, "date-cores.txt"));
        cores.forEach(word -> sorts.put(word, Sort.CORE));
        WordList.lines(DateStarts.class, "date-starts.txt").forEach(word -> sorts.put(word, Sort.START));
        DateWords.known().forEach(word -> sorts.put(word, Sort.START));
        WordList.lines(DateStarts.class, "weak-date-starts.txt").stream()
                .filter(word -> !cores.contains(word)) // One that is a core too needs no other.
                .forEach(word -> sorts.replace(word, Sort.WEAK));
        return sorts;
    }

    /** Where date phrases may begin in a sentence. */
    static boolean[] in(Sentence sentence) {
        boolean[] starts = new boolean[sentence.size()];
        int core = Integer.MAX_VALUE;
        for (int i = starts.length - 1; i >= 0; i--) {
            Sort sort = sortOf(sentence.norm(i));
            if (sort == Sort.START || sort == Sort.CORE) {
                core = i;
            }
            starts[i] =
                    sort == Sort.START || (sort == Sort.WEAK && (core - i <= FARTHEST_CORE || isTheFirst(sentence, i)));
        }
        return starts;
    }

    /** "by the first", with nothing else that names a day. */
    private static boolean isTheFirst(Sentence sentence, int i) {
        return sentence.norm(i).equals("the")
                && DateWords.isWrittenOrdinal(sentence.norm(i + 1))
                && DateWords.isLimit(sentence.norm(i - 1));
    }

    private static @Nullable Sort sortOf(String word) {
        Sort sort = SORTS.get(word);
        boolean written = sort == null
                && (Character.isDigit(word.charAt(0)) || word.startsWith("mid-") || DateWords.isSlipOfADay(word));
        return written ? Sort.START : sort;
    }
}
