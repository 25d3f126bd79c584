package org.squallnote.core.reading;

import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows words in the order of a question, also without a mark behind them, as people type in a chat. */
final class QuestionShapes {

    private static final WordClass AUXILIARIES = WordClass.AUXILIARY;

    private static final WordClass SUBJECTS = WordClass.SUBJECT;

    /** What may follow a short question: "how many bags though". */
    private static final WordClass TRAILING = WordClass.BEHIND_A_QUESTION;

    /** "did it arrive" asks, "did it yesterday" says that somebody has done it. */
    private static final WordClass WHAT_IT_DID = WordClass.WHAT_IT_DID;

    private static final WordClass ARTICLES = WordClass.ARTICLE;

    private static final WordClass PREDICATES = WordClass.PREDICATE;

    private static final WordClass QUESTION_WORDS = WordClass.QUESTION_WORD;

    private static final WordClass QUESTION_IS = WordClass.QUESTION_IS;

    /** "does Friday work for you and your brother": longer, it is rather a statement. */
    private static final int LONGEST_ABOUT_A_DAY = 9;

    /** "She comes and": fewer words before a verb are no clause that it could go on. */
    private static final int FEWEST_BEFORE = 3;

    private final Sentence sentence;
    private final Parts parts;

    QuestionShapes(Sentence sentence, Parts parts) {
        this.sentence = sentence;
        this.parts = parts;
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
        return AUXILIARIES.has(sentence, i)
                || QUESTION_WORDS.has(sentence, i)
                || QUESTION_IS.has(sentence, i)
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
        boolean preposition =
                QUESTION_WORDS.has(sentence, i + 1) && norm.length() <= 5 && !Clauses.isLeadIn(sentence, i);
        return AUXILIARIES.has(sentence, i)
                || QUESTION_WORDS.has(sentence, i)
                || QUESTION_IS.has(sentence, i)
                || norm.startsWith("any")
                || preposition;
    }

    /** "She comes on Thursday and does it then": the verb belongs to whoever was named before. */
    private boolean goesOnWithItsSubject(int i) {
        return i >= FEWEST_BEFORE
                && sentence.at(i - 1).is("and", "or")
                && sentence.at(i).is("does", "has", "is", "was");
    }

    boolean isOneWithoutAMark(int i) {
        String norm = sentence.norm(i);
        String next = sentence.norm(i + 1);
        if (isFragment(i)) {
            return true;
        }
        if (norm.equals("how") && next.equals("come")) {
            return true;
        }
        if (QUESTION_IS.has(sentence, i)) {
            return !next.equals("more")
                    && !next.equals("left")
                    && i + 1 < sentence.size()
                    && sentence.size() - i <= 14
                    && isWhole(i);
        }
        if (QUESTION_WORDS.has(sentence, i)) {
            boolean relative =
                    (norm.equals("who") || norm.equals("which") || norm.equals("whose")) && afterLeadIn(0) != i;
            return !relative && isWhole(i) && invertedWithin(i + 1, norm);
        }
        boolean day = WordClass.WEEKDAY.has(sentence, i + 1) || next.equals("tomorrow") || next.equals("today");
        if (day && (norm.equals("is") || norm.equals("does") || norm.equals("would") || norm.equals("will"))) {
            return isWhole(i) && sentence.size() - i <= LONGEST_ABOUT_A_DAY;
        }
        if (!AUXILIARIES.has(sentence, i)
                || !SUBJECTS.has(sentence, i + 1)
                || sentence.at(i + 1).followsMark()
                || goesOnWithItsSubject(i)
                || !isWhole(i)) {
            return false;
        }
        return switch (norm) {
            case "did" ->
                (next.equals("it") || next.equals("that"))
                        ? WHAT_IT_DID.has(sentence, i + 2)
                        : !next.equals("the") || sentence.size() - i > 4;
            case "have", "had" -> next.equals("you") || next.equals("we") || next.equals("they");
            case "do" -> next.equals("you") || next.equals("we") || next.equals("i") || next.equals("they");
            case "was" -> !ARTICLES.has(sentence, i + 1) || hasPredicate(i + 3);
            case "has", "does", "is", "are", "were", "am", "weren't", "wasn't" -> true;
            default ->
                next.equals("you")
                        || next.equals("we")
                        || next.equals("i")
                        || next.equals("somebody")
                        || next.equals("anybody")
                        || next.equals("they")
                        || next.equals("the")
                        || next.equals("that")
                        || next.equals("it");
        };
    }

    /** "was the door locked", but "was the fuel filter" says what it was. */
    private boolean hasPredicate(int from) {
        for (int i = from; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.endsWith("ed") || norm.endsWith("en") || norm.endsWith("ing") || PREDICATES.has(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    /** "which pontoon", "how many": a question word with hardly anything behind it. */
    private boolean isFragment(int i) {
        int end = sentence.size();
        while (end > i + 2 && TRAILING.has(sentence, end - 1)) {
            end--;
        }
        int rest = end - i;
        if (i != afterLeadIn(0)
                || rest > 3
                || (rest < 2
                        && !sentence.norm(i).equals("when")
                        && !sentence.norm(i).equals("where"))) {
            return false;
        }
        String next = sentence.norm(i + 1);
        return switch (sentence.norm(i)) {
            case "which" -> !next.equals("is") && !next.equals("was");
            case "what" ->
                next.equals("time")
                        || next.equals("size")
                        || next.equals("colour")
                        || next.equals("color")
                        || next.equals("number");
            case "how" ->
                next.equals("many")
                        || next.equals("much")
                        || next.equals("long")
                        || next.equals("far")
                        || next.equals("often");
            case "when", "where" -> rest == 1;
            default -> false;
        };
    }

    /** Whether the part is not a dependent one of a statement that goes on: "when you get back, call". */
    private boolean isWhole(int i) {
        int clause = parts.clauseOf(i);
        boolean firstClause = clause == 0 || sentence.startsClause(i);
        return firstClause && sentence.size() - i >= 3;
    }

    /** "which room are we in", "what time do we close": an auxiliary and a subject within a few words. */
    private boolean invertedWithin(int from, String word) {
        int reach = word.equals("what") || word.equals("which") || word.equals("how") || word.equals("whose") ? 3 : 0;
        for (int i = from; i <= from + reach && i + 1 < sentence.size(); i++) {
            if (AUXILIARIES.has(sentence, i)) {
                boolean whoOrWhat = word.equals("who") && i == from;
                boolean subject =
                        SUBJECTS.has(sentence, i + 1) || sentence.at(i + 1).capital();
                boolean relative = (word.equals("which") && i == from)
                        || (word.equals("what") && sentence.norm(i).equals("is") && !subject);
                return !relative && (subject || whoOrWhat);
            }
            if (SUBJECTS.has(sentence, i) && !sentence.norm(i).equals("all")) {
                return false;
            }
        }
        return false;
    }
}
