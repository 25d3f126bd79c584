package org.squallnote.core.reading;

import java.util.List;
import java.util.Set;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.text.Sentence;

/**
 * In which language messages are read, and which ways to ask count, by their names.
 *
 * @param lacking forms of rules that are as if they stood in no list, so that others may find the same ask
 * @param unheard ways to ask by which nothing is an ask, however else it could be found
 */
record Hearing(ReadingLanguage language, Set<PhraseOrigin> lacking, Set<String> unheard) {

    /** All that a language has count. */
    static Hearing all(ReadingLanguage language) {
        return new Hearing(language, Set.of(), Set.of());
    }

    /** The phrases of a sentence that count. */
    List<PhraseMatch> in(Sentence sentence) {
        List<PhraseMatch> matches = sentence.book().in(sentence);
        return lacking.isEmpty()
                ? matches
                : matches.stream()
                        .filter(match -> !lacking.contains(match.origin()))
                        .toList();
    }

    /** Whether the way in which something is asked counts. */
    boolean hears(SentenceAsks.FoundAsk ask) {
        return !unheard.contains(ask.because().rule());
    }

    /** What is asked in a way that says nothing to the reader is no ask, nor is the question that it makes as well. */
    void drop(List<SentenceAsks.FoundAsk> found) {
        if (!unheard.isEmpty()) {
            List<SentenceAsks.FoundAsk> dropped =
                    found.stream().filter(ask -> !hears(ask)).toList();
            found.removeIf(
                    ask -> dropped.stream().anyMatch(other -> ask.from() <= other.from() && other.to() <= ask.to()));
        }
    }
}
