package org.squallnote.core.reading;

import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows a sentence that says that what was asked for is there already or has fallen away: "Hal has a copy", "it's off". */
final class Overtaken {

    /** What is told at length behind it is told for something else. */
    private static final int MOST_BEHIND = 4;

    private static final String OTHERS_DID = "others-did";

    private static final String FALLEN_AWAY = "fallen-away";

    private Overtaken() {}

    static boolean isSaid(ReadSentence read) {
        return isSaid(read, "overtaken") || isSaid(read, OTHERS_DID) || isSaid(read, FALLEN_AWAY);
    }

    /** "Got the list from Nell": where the list is what was asked for. */
    static boolean saysThatAThingIsThere(ReadSentence read) {
        return isSaid(read, "thing-there");
    }

    /** "They came this morning": whatever was spoken of last. */
    static boolean saysThatItCame(ReadSentence read) {
        return isSaid(read, "it-came");
    }

    private static boolean isSaid(ReadSentence read, String label) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion() || !read.asks().isEmpty()) {
            return false;
        }
        for (PhraseMatch act : read.acts()) {
            if (act.label().equals(label)
                    && !isSaidOfOthers(sentence, act)
                    && !isDenied(sentence, act)
                    && !isLimited(sentence, act.toExclusive())) {
                return true;
            }
        }
        return false;
    }

    /** "Nothing has arrived yet"; rules about what is not needed deny themselves. */
    private static boolean isDenied(Sentence sentence, PhraseMatch act) {
        for (int i = act.fromInclusive() - 1; i >= 0 && !sentence.at(i + 1).followsMark(); i--) {
            if (WordClass.NOT_SO.has(sentence, i)) {
                return !act.label().equals(FALLEN_AWAY);
            }
        }
        return false;
    }

    /** "You sent it to me"; with a rule about others also "I did it", which tells what the writer has done for somebody. */
    private static boolean isSaidOfOthers(Sentence sentence, PhraseMatch act) {
        int before = act.fromInclusive() - 1;
        boolean ofOthers = act.label().equals(OTHERS_DID);
        return before < 0
                ? ofOthers
                : WordClass.TOLD_OF_YOU.has(sentence, before)
                        || (ofOthers && WordClass.TOLD_OF_ONESELF.has(sentence, before));
    }

    /** "I've found the old one, but I need the new one", "got one from Hal and none from you". */
    private static boolean isLimited(Sentence sentence, int from) {
        int behind = 0;
        for (int i = from; i < sentence.size(); i++) {
            boolean thanks = WordClass.THANKS.has(sentence, i);
            if (thanks || WordClass.THANKS.has(sentence, i - 1)) {
                continue;
            }
            boolean butThanks = WordClass.THANKS.has(sentence, i + 1);
            if (++behind > MOST_BEHIND || (WordClass.LIMITING.has(sentence, i) && !butThanks)) {
                return true;
            }
        }
        return false;
    }
}
