package org.squallnote.core.reading;

import org.squallnote.core.reading.Vocatives.Call;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordClass;

/** Finds one name, mention or word for everybody at a place where somebody may be called. */
final class CalledNames {

    private final People people;

    CalledNames(People people) {
        this.people = people;
    }

    /** The one called at a word, or none. */
    Call one(Sentence sentence, int at, boolean greeted) {
        if (at >= sentence.size()) {
            return Call.NONE;
        }
        Word word = sentence.at(at);
        if (word.isMention()) {
            return mention(sentence, at);
        }
        if (WordClass.EVERYBODY.has(sentence, at)) {
            boolean you =
                    sentence.norm(at + 1).equals("of") && sentence.norm(at + 2).equals("you");
            return new Call(Addressees.EVERYBODY, you ? at + 3 : at + 1);
        }
        People.FoundName found = people.at(sentence, at);
        if (found.isSomebody()) {
            int to = found.toExclusive();
            boolean copied = sentence.norm(to).equals("in") && WordClass.COPY.has(sentence, to + 1);
            return new Call(Addressees.of(found.addresses()), copied ? to + 2 : to);
        }
        if (isUnknownName(sentence, at, greeted)) {
            int to = at + 1;
            while (People.isTitle(sentence.norm(to - 1))
                    && to < sentence.size()
                    && sentence.at(to).capital()) {
                to++;
            }
            return new Call(Addressees.UNKNOWN, to);
        }
        return Call.NONE;
    }

    private Call mention(Sentence sentence, int at) {
        String norm = sentence.norm(at);
        if (norm.equals("@room")
                || norm.equals("@all")
                || norm.equals("@everyone")
                || norm.equals("@here")
                || norm.equals("@team")) {
            return new Call(Addressees.EVERYBODY, at + 1);
        }
        People.FoundName found = people.at(sentence, at);
        return found.isSomebody()
                ? new Call(Addressees.of(found.addresses()), behindSurname(sentence, found.toExclusive()))
                : new Call(Addressees.UNKNOWN, behindSurname(sentence, at + 1));
    }

    /** "@Ines Calloway could you": programs that show full names write them out. */
    private static int behindSurname(Sentence sentence, int at) {
        boolean surname = at < sentence.size()
                && sentence.at(at).capital()
                && !sentence.at(at).followsMark()
                && startsAsking(sentence, at + 1);
        return surname ? at + 1 : at;
    }

    /** A word that can only be a name where it stands: before a comma or right before "can you". */
    private boolean isUnknownName(Sentence sentence, int at, boolean greeted) {
        Word word = sentence.at(at);
        if (word.isNumber() || word.quoted() || NotNames.isOne(sentence, at)) {
            return People.isTitle(word.norm()) && word.capital();
        }
        boolean asksNext = startsAsking(sentence, at + 1);
        if (word.capital()) {
            return greeted || asksNext || isJoinedToAsked(sentence, at);
        }
        return asksNext && !sentence.startsPart(at + 1) && at == 0;
    }

    /** "Tom and Ines can you": a name joined to another one before a request. */
    private boolean isJoinedToAsked(Sentence sentence, int at) {
        boolean and = sentence.norm(at + 1).equals("and");
        boolean comma = at + 1 < sentence.size() && sentence.at(at + 1).before() == ',';
        int next = and ? at + 2 : at + 1;
        return (and || comma)
                && next < sentence.size()
                && (sentence.at(next).capital() || people.at(sentence, next).isSomebody())
                && startsAsking(sentence, next + 1);
    }

    /** Whether a request starts there: "can you", "please", "could you". */
    static boolean startsAsking(Sentence sentence, int at) {
        String norm = sentence.norm(at);
        return (WordClass.MODAL.has(sentence, at) && sentence.norm(at + 1).equals("you")) || norm.equals("please");
    }
}
