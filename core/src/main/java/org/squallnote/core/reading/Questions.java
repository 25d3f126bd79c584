package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Questions, by their form: with a mark at the end or, as people type in a chat, without. */
final class Questions {

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;
    private final boolean goesOn;
    private final QuestionShapes shapes;

    Questions(Sentence sentence, Parts parts, List<PhraseMatch> matches, boolean goesOn) {
        this.sentence = sentence;
        this.parts = parts;
        this.matches = matches;
        this.goesOn = goesOn;
        this.shapes = new QuestionShapes(sentence, parts, matches);
    }

    void question(List<SentenceAsks.FoundAsk> found) {
        int start = sentence.isQuestion() ? questionStart() : bareQuestionStart();
        if (start < 0
                || start >= sentence.size()
                || (sentence.at(start).quoted()
                        && sentence.at(sentence.size() - 1).quoted())) {
            return;
        }
        if (!new OnlyTalk(sentence, parts, matches, shapes, goesOn).isOne(start)) {
            found.add(new SentenceAsks.FoundAsk(Ask.Kind.QUESTION, start, sentence.size(), start, AskShapes.QUESTION));
        }
    }

    /** Where the question of a sentence that ends with a question mark begins: its first clause that is shaped like one. */
    private int questionStart() {
        int lastClause = parts.lastClause();
        for (int clause = 0; clause <= lastClause; clause++) {
            int first = shapes.afterLeadIn(parts.firstOfClause(clause));
            if (shapes.isOne(first)) {
                return first;
            }
        }
        return shapes.afterLeadIn(0) < sentence.size() ? shapes.afterLeadIn(0) : 0;
    }

    /** Where a question without a mark begins, as people type it in a chat. */
    private int bareQuestionStart() {
        if (sentence.isExclamation()) {
            return -1;
        }
        for (int i = 0; i < sentence.size(); i++) {
            // "tom what did you pay": a name in front, as people type it in a chat.
            boolean named = i == 1 && WordClass.QUESTION_WORD.has(sentence, 1) && mayBeAName();
            if ((named || sentence.startsClause(i)) && !sentence.at(i).quoted() && shapes.isOneWithoutAMark(i)) {
                return i;
            }
        }
        return -1;
    }

    private boolean mayBeAName() {
        return !sentence.book().holds(sentence.at(0))
                && !NotNames.isOne(sentence, 0)
                && !WordClass.LAUGHTER.has(sentence, 0)
                && !sentence.at(0).isNumber();
    }
}
