package org.squallnote.core.reading;

import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;

/** Knows a promise that waits for somebody else, or that is a threat. */
final class ConditionalPromises {

    /** A condition says so early that it is about something that does not happen. */
    private static final int NEAR_IF = 7;

    private ConditionalPromises() {}

    /** "I'll order it once you confirm" waits for somebody else and is no promise yet. */
    static boolean isOne(ReadSentence read, PhraseMatch promise) {
        Sentence sentence = read.sentence();
        if (threatens(sentence)) {
            return true;
        }
        for (int i = 0; i < sentence.size() - 1; i++) {
            String norm = sentence.norm(i);
            boolean condition = norm.equals("if")
                    || norm.equals("once")
                    || norm.equals("unless")
                    || norm.equals("until")
                    || norm.equals("when")
                    || (norm.equals("as") && sentence.norm(i + 1).equals("soon"));
            int you = norm.equals("as") ? i + 3 : i + 1;
            if (condition
                    && (sentence.norm(you).startsWith("you")
                            && !sentence.norm(you + 1).equals("like")
                            && !sentence.norm(you + 1).equals("want"))) {
                return read.parts().unitOf(i) == read.parts().unitOf(promise.fromInclusive());
            }
        }
        return false;
    }

    /** "If it isn't paid by then, we'll have to charge interest." */
    private static boolean threatens(Sentence sentence) {
        for (int i = 0; i < sentence.size() - 1; i++) {
            // "We need them by noon, otherwise we'll go with 40."
            // "All good otherwise, I'll send it" goes on behind a mark.
            boolean orElse = sentence.at(i).is("otherwise")
                    || (sentence.at(i).is("else") && sentence.norm(i - 1).equals("or"));
            if (orElse
                    && i > 0
                    && !sentence.at(i + 1).followsMark()
                    && sentence.at(i + 1).is("i'll", "we'll", "i", "we")) {
                return true;
            }
            if (sentence.at(i).is("unless") && !sentence.norm(i + 1).equals("i")) {
                return true;
            }
            if (sentence.at(i).is("if")
                    && !sentence.at(i + 1).is("i", "i'm", "we", "we're", "not", "that's", "possible")) {
                for (int j = i + 1; j < Math.min(i + NEAR_IF, sentence.size()); j++) {
                    if (sentence.norm(j).endsWith("n't") || sentence.at(j).is("not", "no", "nothing", "nobody")) {
                        return true;
                    }
                }
            }
        }
        return false;
    }
}
