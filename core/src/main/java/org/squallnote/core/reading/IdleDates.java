package org.squallnote.core.reading;

import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Knows dates that are said and set nothing, though a word such as "by" stands before them: missed, denied, asked about. */
final class IdleDates {

    private static final WordSet AWAITED = WordSet.of("due", "needed", "supposed");

    private final Sentence sentence;
    private final Parts parts;

    IdleDates(Sentence sentence, Parts parts) {
        this.sentence = sentence;
        this.parts = parts;
    }

    /** Whether the date is merely mentioned, with the word before it at {@code lead}. */
    boolean isMention(int lead, DatePhrase phrase) {
        return isMissed(phrase)
                || isDenied(lead, phrase)
                || (phrase.form() == Form.STRETCH && isCountedFromSomethingElse(phrase.toExclusive()));
    }

    /** "Do you need my list by Thursday?", "Do I have to be done by then?", "Will you be back by Thursday?" ask about the day. */
    boolean isAskedAbout(DatePhrase phrase) {
        if (!sentence.isQuestion()) {
            return false;
        }
        int first = parts.firstOfUnit(parts.unitOf(phrase.fromInclusive()));
        while (first < sentence.size() - 3
                && !sentence.norm(first).equals("do")
                && (Clauses.isLeadIn(sentence, first) || sentence.at(first).is("when", "what"))) {
            first++;
        }
        String subject = sentence.norm(first + 1);
        boolean writer = subject.equals("i") || subject.equals("we");
        return switch (sentence.norm(first)) {
            case "do" ->
                (subject.equals("you") && sentence.at(first + 2).is("need", "want", "require"))
                        || (writer && sentence.at(first + 2).is("have", "need"));
            case "if" -> first > 0 && writer && sentence.norm(first - 1).equals("what");
            case "will" ->
                subject.equals("you")
                        && sentence.norm(first + 2).equals("be")
                        && sentence.at(Math.min(first + 3, sentence.size() - 1))
                                .is("back", "there", "here", "in", "home", "away");
            default -> false;
        };
    }

    /** "It should have reached us by 15 May", "it was due on the 4th": a day that has passed, whatever the year. */
    private boolean isMissed(DatePhrase phrase) {
        int unit = parts.unitOf(phrase.fromInclusive());
        for (int i = phrase.fromInclusive() - 1; i > 0 && parts.unitOf(i) == unit; i--) {
            boolean should =
                    sentence.norm(i).equals("have") && sentence.at(i - 1).is("should", "ought", "supposed");
            boolean was = AWAITED.has(sentence, i) && sentence.at(i - 1).is("was", "were");
            if (should || was) {
                return true;
            }
        }
        return false;
    }

    /** "by Friday, not Thursday", "not on Thursday but on Friday"; "not before Thursday" says something else. */
    private boolean isDenied(int lead, DatePhrase phrase) {
        String word = sentence.norm(lead);
        if (word.equals("before") && sentence.norm(lead - 1).equals("not")) {
            return true;
        }
        int not = word.equals("on") || word.equals("by") ? lead - 1 : phrase.fromInclusive() - 1;
        return not >= 0
                && sentence.norm(not).equals("not")
                && (not == 0
                        || sentence.at(not).followsMark()
                        || sentence.norm(phrase.toExclusive()).equals("but"));
    }

    /** "ten working days after the trip", but "after receipt of this letter". */
    private boolean isCountedFromSomethingElse(int after) {
        return sentence.at(Math.min(after, sentence.size() - 1)).is("after", "before", "following")
                && after < sentence.size() - 1
                && !sentence.at(after).followsMark()
                && !sentence.at(after + 1).is("receipt", "receiving", "getting", "this", "today", "now", "reading");
    }
}
