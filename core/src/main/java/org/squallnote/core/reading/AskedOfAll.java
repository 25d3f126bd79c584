package org.squallnote.core.reading;

import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;

/** Knows asks that say themselves that anybody may do it, or that everybody shall. */
final class AskedOfAll {

    /** Who is asked stands within so many words. */
    private static final int NEAR = 4;

    private AskedOfAll() {}

    static boolean isOfAnybody(Sentence sentence, SentenceAsks asks, SentenceAsks.FoundAsk ask) {
        for (int i = ask.from(); i < Math.min(sentence.size(), ask.from() + NEAR); i++) {
            if (asks.has("of-any", i)) {
                return true;
            }
            if (asks.has("anybody", i)) {
                // "Could you give it to somebody" asks the one it speaks to.
                return i <= ask.from() + 1 || !sentence.norm(i - 1).equals("to");
            }
            if (sentence.norm(i).equals("you")) {
                return false;
            }
        }
        return ask.kind() == Ask.Kind.QUESTION && asks.has("who", ask.from());
    }

    static boolean isOfEverybody(SentenceAsks asks, SentenceAsks.FoundAsk ask) {
        for (PhraseMatch match : asks.matches()) {
            int at = match.fromInclusive();
            boolean everybody = switch (match.label()) {
                case "of-all" -> true;
                case "you-all" -> at >= ask.from() - 1 && !asks.has("all-of-it", at);
                case "asks-everybody" -> at + 2 >= ask.from();
                default -> false;
            };
            if (everybody) {
                return true;
            }
        }
        return false;
    }

    /** "hi all, what's for lunch?" in a room may be answered by anybody; "hi all, please …" asks each. */
    static boolean isOpenInRoom(MessageToRead message, Sentence sentence) {
        return message.inRoom()
                && !message.mentions().contains("@room")
                && sentence.isQuestion()
                && !sentence.hasWord("you", "your", "please", "you're", "you'll", "you've", "everybody");
    }
}
