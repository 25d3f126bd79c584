package org.squallnote.core.reading;

import java.util.Optional;
import org.squallnote.core.text.Sentence;

/** "Ann, the same for the moorings", "Will, same for you": asks somebody else what was asked before. */
final class SameAgain {

    private SameAgain() {}

    static Optional<SentenceAsks.FoundAsk> of(Sentence sentence, Vocatives.Call opening, Vocatives.Call trailing) {
        int at = opening.isOne() ? opening.toExclusive() : 0;
        while (at < sentence.size() && sentence.at(at).is("and", "the", "please", "exactly", "just")) {
            at++;
        }
        boolean same = at < sentence.size() && sentence.at(at).is("same", "likewise", "ditto");
        boolean toSomebody = opening.isOne() || trailing.isOne() || isForYou(sentence, at);
        return same && toSomebody && at < sentence.size()
                ? Optional.of(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, at, at + 1, at))
                : Optional.empty();
    }

    /** "The same goes for you, Tom." */
    private static boolean isForYou(Sentence sentence, int at) {
        for (int i = at + 1; i + 1 < sentence.size(); i++) {
            if (sentence.at(i).is("for", "from") && sentence.at(i + 1).is("you")) {
                return true;
            }
        }
        return false;
    }
}
