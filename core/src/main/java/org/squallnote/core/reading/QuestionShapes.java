package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows words in the order of a question, also without a mark behind them, as people type in a chat. */
final class QuestionShapes {

    /** "does Friday work for you and your brother": longer, it is rather a statement. */
    private static final int LONGEST_ABOUT_A_DAY = 9;

    private static final int LONGEST_FRAGMENT = 3;

    /** "She comes and": fewer words before a verb are no clause that it could go on. */
    private static final int FEWEST_BEFORE = 3;

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;

    QuestionShapes(Sentence sentence, Parts parts, List<PhraseMatch> matches) {
        this.sentence = sentence;
        this.parts = parts;
        this.matches = matches;
    }

    /** "The blue door, half past twelve?", "nine is a bit early, ten?": ends with what is named without words that ask. */
    static boolean areMissingIn(Sentence sentence) {
        if (sentence.size() > LONGEST_ABOUT_A_DAY || asks(sentence, 0)) {
            return false;
        }
        int last = sentence.size() - 1;
        while (last > 0 && !sentence.at(last).followsMark()) {
            last--;
        }
        for (int i = last; i < sentence.size(); i++) {
            if (asks(sentence, i)) {
                return false;
            }
        }
        return true;
    }

    private static boolean asks(Sentence sentence, int i) {
        return WordClass.AUXILIARY.has(sentence, i)
                || WordClass.QUESTION_WORD.has(sentence, i)
                || WordClass.QUESTION_IS.has(sentence, i)
                || sentence.at(i).is("or");
    }

    /** The first word behind those that only lead in to it. */
    int afterLeadIn(int from) {
        int i = from;
        while (i < sentence.size()
                && (Clauses.isLeadIn(sentence, i)
                        || Clauses.isConjunction(sentence, i)
                        || sentence.at(i).isMention())) {
            i++;
        }
        return i;
    }

    /** Whether a word and those behind it begin as questions do. */
    boolean isOne(int i) {
        String norm = sentence.norm(i);
        // "At what time"; in "Tom, how are you?" a name stands before it.
        boolean preposition = WordClass.QUESTION_WORD.has(sentence, i + 1)
                && !sentence.at(i + 1).followsMark()
                && norm.length() <= 5
                && !Clauses.isLeadIn(sentence, i);
        return WordClass.AUXILIARY.has(sentence, i)
                || WordClass.QUESTION_WORD.has(sentence, i)
                || WordClass.QUESTION_IS.has(sentence, i)
                || norm.startsWith("any")
                || preposition;
    }

    /** "She comes on Thursday and does it then": the verb belongs to whoever was named before. */
    private boolean goesOnWithItsSubject(int i) {
        return i >= FEWEST_BEFORE && WordClass.AND_OR.has(sentence, i - 1) && WordClass.DOES_OR_IS.has(sentence, i);
    }

    boolean isOneWithoutAMark(int i) {
        String norm = sentence.norm(i);
        if (isFragment(i)) {
            return true;
        }
        if (has("bare-how-come", i)) {
            return true;
        }
        if (WordClass.QUESTION_IS.has(sentence, i)) {
            return !WordClass.MORE_OR_LEFT.has(sentence, i + 1)
                    && i + 1 < sentence.size()
                    && sentence.size() - i <= 14
                    && isWhole(i);
        }
        if (WordClass.QUESTION_WORD.has(sentence, i)) {
            boolean relative = WordClass.WHO_OR_WHICH.has(sentence, i) && afterLeadIn(0) != i;
            return !relative && isWhole(i) && invertedWithin(i + 1, norm);
        }
        if (has("bare-of-a-day", i)) {
            return isWhole(i) && sentence.size() - i <= LONGEST_ABOUT_A_DAY;
        }
        if (!WordClass.AUXILIARY.has(sentence, i)
                || !WordClass.SUBJECT.has(sentence, i + 1)
                || sentence.at(i + 1).followsMark()
                || goesOnWithItsSubject(i)
                || !isWhole(i)) {
            return false;
        }
        return has("bare-question", i) || (has("bare-was", i) && hasPredicate(i + 3));
    }

    /** Whether a rule of a label stands at a word. */
    private boolean has(String label, int at) {
        return PhraseMatch.isAt(matches, label, at);
    }

    /** "was the door locked", but "was the fuel filter" says what it was. */
    private boolean hasPredicate(int from) {
        for (int i = from; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.endsWith("ed")
                    || norm.endsWith("en")
                    || norm.endsWith("ing")
                    || WordClass.PREDICATE.has(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    /** "which pontoon", "how many": a question word with hardly anything behind it. */
    private boolean isFragment(int i) {
        int end = sentence.size();
        while (end > i + 2 && WordClass.BEHIND_A_QUESTION.has(sentence, end - 1)) {
            end--;
        }
        int rest = end - i;
        return i == afterLeadIn(0)
                && rest <= LONGEST_FRAGMENT
                && (rest == 1
                        ? WordClass.WHEN_OR_WHERE.has(sentence, i)
                        : has("bare-fragment", i) && !has("no-fragment", i));
    }

    /** Whether the part is not a dependent one of a statement that goes on: "when you get back, call". */
    private boolean isWhole(int i) {
        int clause = parts.clauseOf(i);
        boolean firstClause = clause == 0 || sentence.startsClause(i);
        return firstClause && sentence.size() - i >= 3;
    }

    /** "which room are we in", "what time do we close": an auxiliary and a subject within a few words. */
    private boolean invertedWithin(int from, String word) {
        int reach = WordClass.BEFORE_A_THING_ASKED.has(sentence, from - 1) ? 3 : 0;
        for (int i = from; i <= from + reach && i + 1 < sentence.size(); i++) {
            if (WordClass.AUXILIARY.has(sentence, i)) {
                boolean whoOrWhat = word.equals("who") && i == from;
                boolean subject = WordClass.SUBJECT.has(sentence, i + 1)
                        || sentence.at(i + 1).capital();
                boolean relative = (word.equals("which") && i == from)
                        || (word.equals("what") && sentence.norm(i).equals("is") && !subject);
                return !relative && (subject || whoOrWhat);
            }
            if (WordClass.SUBJECT.has(sentence, i) && !sentence.norm(i).equals("all")) {
                return false;
            }
        }
        return false;
    }
}
