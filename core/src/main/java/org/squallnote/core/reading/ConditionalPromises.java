package org.squallnote.core.reading;

import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows a promise that waits for somebody else, or that is a threat. */
final class ConditionalPromises {

    /** A condition says so early that it is about something that does not happen. */
    private static final int NEAR_IF = 7;

    private ConditionalPromises() {}

    /** "I'll order it once you confirm" waits for somebody else and is no promise yet. */
    static boolean isOne(ReadSentence read, PhraseMatch promise) {
        return threatens(read.sentence()) || waitsForYou(read, promise) || isJoinedToAnAsk(read, promise);
    }

    /** Whether it is one that holds once those it is written to have done something, and no threat. */
    static boolean isForSomethingInReturn(ReadSentence read, PhraseMatch promise) {
        return !threatens(read.sentence())
                && (isJoinedToAnAsk(read, promise) || (isUnderACondition(read) && waitsForYou(read, promise)));
    }

    private static boolean isUnderACondition(ReadSentence read) {
        return read.found().stream().anyMatch(ask -> ask.kind() == Ask.Kind.CONDITION);
    }

    /** "Just send me the number and I'll print you one"; what is promised for a day binds. */
    private static boolean isJoinedToAnAsk(ReadSentence read, PhraseMatch promise) {
        int at = promise.fromInclusive();
        return at > 1
                && read.dates().stream().noneMatch(day -> day.fromInclusive() > at)
                && WordClass.AND_SO.has(read.sentence(), at - 1)
                && read.found().stream().anyMatch(ask -> ask.kind() == Ask.Kind.REQUEST && ask.from() < at - 1);
    }

    private static boolean waitsForYou(ReadSentence read, PhraseMatch promise) {
        for (PhraseMatch act : read.acts()) {
            if (act.label().equals("waits-for-you") && !read.hasAt("as-you-like", act.fromInclusive())) {
                return read.parts().unitOf(act.fromInclusive()) == read.parts().unitOf(promise.fromInclusive());
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
