package org.squallnote.core.reading;

import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Knows deadlines that are said of somebody else's part or of another time: "Tom has to send his part by Thursday". */
final class OthersParts {

    /** Whose thing it is, where it is not the reader's. */
    private static final WordSet THEIRS = WordSet.of("his", "her", "own");

    private static final WordSet WHAT_WAS_ASKED = WordSet.of(
            "it", "this", "these", "them", "everything", "all", "both", "answer", "reply", "you", "your", "us");

    private static final WordSet SAID = WordSet.of("told", "assured");

    private static final WordSet PERIODS =
            WordSet.of("year", "time", "month", "week", "spring", "summer", "autumn", "winter");

    private OthersParts() {}

    /** Whether the date, though stated, is somebody else's or of another time. */
    static boolean isOne(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        int unit = read.parts().unitOf(dated.phrase().fromInclusive());
        int first = read.parts().firstOfUnit(unit);
        boolean owed = false;
        boolean theirs = false;
        boolean asked = false;
        boolean said = false;
        for (int i = first; i < dated.lead(); i++) {
            theirs |= owed && THEIRS.has(sentence, i) && i + 1 < dated.lead();
            owed |= sentence.at(i).is("need", "needs", "has", "have", "must", "wants", "want", "should", "owes");
            asked |= WHAT_WAS_ASKED.has(sentence, i) && !sentence.norm(i - 1).endsWith("d");
            said |= SAID.has(sentence, i) && sentence.norm(i - 1).equals("i") && i + 3 < dated.lead();
        }
        return (theirs && !asked)
                || (said && !asked && isOfTheWriter(sentence, first, dated.lead()))
                || isOthersUntilThen(sentence, first)
                || isDuty(sentence, first)
                || isOfThePast(sentence, first, dated.phrase().fromInclusive());
    }

    /** "I told the bank that we'd pay by Thursday." */
    private static boolean isOfTheWriter(Sentence sentence, int from, int to) {
        for (int i = from; i < to; i++) {
            if (sentence.at(i).is("we'd", "we'll", "i'd", "i'll")
                    && !sentence.at(Math.min(i + 1, to - 1)).is("have", "let", "know", "tell", "send", "give")) {
                return true;
            }
        }
        return false;
    }

    /** "The others have until Thursday." */
    private static boolean isOthersUntilThen(Sentence sentence, int first) {
        return sentence.norm(first + 1).equals("others")
                && sentence.at(Math.min(first + 2, sentence.size() - 1)).is("have", "need", "must", "can");
    }

    /** "Tom has to send the map by Thursday": a person's name, and what that one has to do. */
    private static boolean isDuty(Sentence sentence, int first) {
        return sentence.at(first).capital()
                && !NotNames.isOne(sentence, first)
                && !Phrases.BOOK.holds(sentence.at(first))
                && sentence.norm(first + 1).equals("has")
                && sentence.norm(first + 2).equals("to")
                && Phrases.GIVING.has(sentence, first + 3)
                && !sentence.at(first + 3).is("have", "get", "know", "hear", "see", "receive");
    }

    /** "Last year the deadline was 30 March." */
    private static boolean isOfThePast(Sentence sentence, int first, int to) {
        boolean last = false;
        boolean was = false;
        for (int i = first; i < to; i++) {
            last |= sentence.norm(i).equals("last") && PERIODS.has(sentence, i + 1);
            was |= sentence.norm(i).equals("was");
        }
        return last && was;
    }
}
