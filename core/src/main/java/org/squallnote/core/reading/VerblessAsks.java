package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Asks without a verb: "the invoice, please", "all forms to us before noon", "need bill number before 1". */
final class VerblessAsks {

    /** "all signed forms and receipts to me". */
    private static final int LONGEST_HANDED = 7;

    private final Sentence sentence;
    private final Parts parts;
    private final SentenceAsks asks;

    VerblessAsks(Sentence sentence, Parts parts, SentenceAsks asks) {
        this.sentence = sentence;
        this.parts = parts;
        this.asks = asks;
    }

    /** "Your picks, please.", "the door code pls". */
    void trailingPlease(List<SentenceAsks.FoundAsk> found) {
        int last = sentence.size() - 1;
        if (last < 2
                || !sentence.norm(last).equals("please")
                || sentence.at(last).quoted()) {
            return;
        }
        String first = sentence.norm(0);
        boolean answer = first.equals("yes")
                || first.equals("no")
                || first.equals("yeah")
                || first.equals("yep")
                || first.equals("ok");
        if (!answer && !asks.isVoid(last, "request") && !asks.isVoid(0, "request")) {
            found.add(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, 0, sentence.size(), 0, AskShapes.PLEASE_BEHIND));
        }
    }

    /** "Counts to me by Friday night.", "all forms to us before noon": what is to be handed in, without a verb. */
    void toMeByThen(List<SentenceAsks.FoundAsk> found) {
        if (!WordClass.US.hasAnyOf(sentence)) {
            return;
        }
        for (int i = 1; i < sentence.size() - 1; i++) {
            if (!WordClass.US.has(sentence, i)
                    || !sentence.norm(i - 1).equals("to")
                    || !WordClass.BY_WHEN.has(sentence, i + 1)) {
                continue;
            }
            int first = parts.firstOfClause(parts.clauseOf(i));
            if (i - first >= 2 && i - first <= LONGEST_HANDED && isPlainNoun(first, i - 1)) {
                found.add(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, first, i + 1, first, AskShapes.TO_ME_BY_THEN));
                return;
            }
        }
    }

    /** "need bill number before 1": what the writer needs, without a subject and an article. */
    void bareNeed(List<SentenceAsks.FoundAsk> found) {
        int at = 0;
        while (at < sentence.size() - 1 && (sentence.at(at).isMention() || Clauses.isLeadIn(sentence, at))) {
            at++;
        }
        boolean thing = sentence.at(at).is("need", "want")
                && at + 1 < sentence.size()
                && !sentence.at(at + 1).followsMark()
                && !sentence.isQuestion()
                && !WordClass.NO_THING.has(sentence, at + 1);
        for (int i = at + 2; thing && i < sentence.size(); i++) {
            if ((WordClass.BY_WHEN.has(sentence, i) || WordClass.THING_ASKED.has(sentence, i))
                    && !asks.isVoid(at, "need")) {
                found.add(new SentenceAsks.FoundAsk(Ask.Kind.NEED, at, at + 1, at + 1, AskShapes.BARE_NEED));
                return;
            }
        }
    }

    private boolean isPlainNoun(int from, int to) {
        for (int i = from; i < to; i++) {
            boolean past = sentence.norm(i).endsWith("ed") && (i > from || to - from < 2);
            boolean verb = WordClass.MODAL.has(sentence, i) || WordClass.TOLD_BEFORE.has(sentence, i);
            if (past || verb || sentence.at(i).quoted()) {
                return false;
            }
        }
        return true;
    }
}
