package org.squallnote.core.reading;

import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows asks that say themselves that anybody may do it, or that everybody shall. */
final class AskedOfAll {

    private static final WordClass EVERYBODY = WordClass.OF_EVERYBODY;

    private AskedOfAll() {}

    static boolean isOfAnybody(Sentence sentence, SentenceAsks.FoundAsk ask) {
        for (int i = ask.from(); i < Math.min(sentence.size(), ask.from() + 4); i++) {
            String norm = sentence.norm(i);
            boolean ofYou =
                    sentence.norm(i + 1).equals("of") && sentence.norm(i + 2).equals("you");
            if (ofYou && sentence.at(i).is("who", "which", "one", "either")) {
                return true;
            }
            if (norm.equals("anybody") || norm.equals("somebody")) {
                return i == ask.from()
                        || i == ask.from() + 1
                        || !sentence.norm(i - 1).equals("to");
            }
            if (norm.equals("any")
                    && sentence.norm(i + 1).equals("of")
                    && sentence.norm(i + 2).equals("you")) {
                return true;
            }
            if (norm.equals("you")) {
                return false;
            }
        }
        String word = sentence.norm(ask.from());
        return ask.kind() == Ask.Kind.QUESTION && (word.equals("who") || word.equals("who's"));
    }

    static boolean isOfEverybody(Sentence sentence, SentenceAsks.FoundAsk ask) {
        if (!EVERYBODY.hasAnyOf(sentence)) {
            return false;
        }
        for (int i = 0; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            boolean all = norm.equals("all") || norm.equals("each") || norm.equals("both");
            if (all && sentence.norm(i + 1).equals("of") && sentence.norm(i + 2).equals("you")) {
                return true;
            }
            if (norm.equals("you") && i + 1 < sentence.size() && i >= ask.from() - 1) {
                String next = sentence.norm(i + 1);
                if ((next.equals("all")
                                && !sentence.norm(i + 2).equals("the")
                                && !sentence.norm(i + 2).equals("of"))
                        || next.equals("both")
                        || next.equals("each")
                        || next.equals("guys")
                        || next.equals("two")) {
                    return true;
                }
            }
            boolean everybody = norm.equals("everybody");
            if (everybody
                    && i > 0
                    && i >= ask.from()
                    && (WordClass.MODAL.has(sentence, i - 1)
                            || sentence.norm(i - 1).equals("please")
                            || sentence.norm(i - 1).equals("need"))) {
                return true;
            }
            if (everybody && sentence.at(Math.min(i + 1, sentence.size() - 1)).is("please", "must", "has", "should")) {
                return true;
            }
        }
        return false;
    }
}
