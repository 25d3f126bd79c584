package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Questions, by their form: with a mark at the end or, as people type in a chat, without. */
final class Questions {

    private static final WordSet AUXILIARIES = Phrases.BOOK.set("auxiliary");

    private static final WordSet SUBJECTS = Phrases.BOOK.set("subject");

    /** "does Friday work for you and your brother": longer, it is rather a statement. */
    private static final int LONGEST_ABOUT_A_DAY = 9;

    /** "She comes and": fewer words before a verb are no clause that it could go on. */
    private static final int FEWEST_BEFORE = 3;

    private static final WordSet LAUGHTER = Phrases.BOOK.set("laughter");

    /** What may follow a short question: "how many bags though". */
    private static final WordSet TRAILING = Phrases.BOOK.set("behind-a-question");

    /** "did it arrive" asks, "did it yesterday" says that somebody has done it. */
    private static final WordSet WHAT_IT_DID = Phrases.BOOK.set("what-it-did");

    private static final WordSet ARTICLES = Phrases.BOOK.set("article");

    private static final WordSet PREDICATES = Phrases.BOOK.set("predicate");

    private static final WordSet QUESTION_WORDS = Phrases.BOOK.set("question-word");

    private static final WordSet QUESTION_IS = Phrases.BOOK.set("question-is");

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;
    private final boolean goesOn;

    Questions(Sentence sentence, Parts parts, List<PhraseMatch> matches, boolean goesOn) {
        this.sentence = sentence;
        this.parts = parts;
        this.matches = matches;
        this.goesOn = goesOn;
    }

    void question(List<SentenceAsks.FoundAsk> found) {
        int start = sentence.isQuestion() ? questionStart() : bareQuestionStart();
        if (start < 0
                || start >= sentence.size()
                || (sentence.at(start).quoted()
                        && sentence.at(sentence.size() - 1).quoted())) {
            return;
        }
        if (!isOnlyTalk(start)) {
            found.add(new SentenceAsks.FoundAsk(Ask.Kind.QUESTION, start, sentence.size(), start, AskShapes.QUESTION));
        }
    }

    /** Where the question of a sentence that ends with a question mark begins: its first clause that is shaped like one. */
    private int questionStart() {
        int lastClause = parts.lastClause();
        for (int clause = 0; clause <= lastClause; clause++) {
            int first = afterLeadIn(parts.firstOfClause(clause));
            if (isShapedLikeQuestion(first)) {
                return first;
            }
        }
        return afterLeadIn(0) < sentence.size() ? afterLeadIn(0) : 0;
    }

    /** Where a question without a mark begins, as people type it in a chat. */
    private int bareQuestionStart() {
        if (sentence.isExclamation()) {
            return -1;
        }
        for (int i = 0; i < sentence.size(); i++) {
            // "tom what did you pay": a name in front, as people type it in a chat.
            boolean named = i == 1 && QUESTION_WORDS.has(sentence, 1) && mayBeAName();
            if ((named || sentence.startsClause(i)) && !sentence.at(i).quoted() && isBareQuestion(i)) {
                return i;
            }
        }
        return -1;
    }

    private boolean mayBeAName() {
        return !Phrases.BOOK.holds(sentence.at(0))
                && !NotNames.isOne(sentence, 0)
                && !LAUGHTER.has(sentence, 0)
                && !sentence.at(0).isNumber();
    }

    private int afterLeadIn(int from) {
        int i = from;
        while (i < sentence.size()
                && (Clauses.isLeadIn(sentence, i)
                        || Clauses.isConjunction(sentence, i)
                        || sentence.at(i).isMention())) {
            i++;
        }
        return i;
    }

    private boolean isShapedLikeQuestion(int i) {
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

    private boolean isBareQuestion(int i) {
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
        boolean day = Phrases.WEEKDAY.has(sentence, i + 1) || next.equals("tomorrow") || next.equals("today");
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

    /** Greetings, rhetorical questions and reported ones; "answered" ones when something follows. */
    private boolean isOnlyTalk(int start) {
        int clause = parts.clauseOf(start);
        for (PhraseMatch match : matches) {
            boolean inside = parts.clauseOf(match.fromInclusive()) >= clause || match.fromInclusive() >= start;
            switch (match.label()) {
                case "rhetorical", "small-talk" -> {
                    boolean oneWord =
                            match.toExclusive() - match.fromInclusive() == 1 && match.toExclusive() < sentence.size();
                    if (oneWord) {
                        continue;
                    }
                    if ((inside && match.fromInclusive() <= afterLeadIn(start))
                            || (parts.isLastClause(parts.clauseOf(match.fromInclusive()))
                                    && parts.clauseOf(match.fromInclusive()) != clause
                                    && !isShapedLikeQuestion(start))) {
                        return true;
                    }
                }
                case "answered" -> {
                    if (goesOn) {
                        return true;
                    }
                }
                case "reported" -> {
                    boolean apart = match.fromInclusive() < start
                            && parts.clauseOf(match.fromInclusive()) != clause
                            && isShapedLikeQuestion(start);
                    boolean mine = sentence.isQuestion()
                            && sentence.norm(match.fromInclusive() - 1).equals("i")
                            && sentence.norm(match.fromInclusive()).equals("thought");
                    if (!apart && !mine && (match.fromInclusive() < start || !isShapedLikeQuestion(start))) {
                        return true;
                    }
                }
                case "courtesy", "courtesy-if" -> {
                    if (!isShapedLikeQuestion(start) && parts.isLastClause(parts.clauseOf(match.fromInclusive()))) {
                        return true;
                    }
                    if (match.label().equals("courtesy-if") && isCourtesyQuestion(match)) {
                        return true;
                    }
                }
                default -> {}
            }
        }
        return false;
    }

    /** "If you have any questions, could you call me?" is none either. */
    private boolean isCourtesyQuestion(PhraseMatch match) {
        return parts.unitOf(match.fromInclusive()) == parts.unitOf(sentence.size() - 1) && match.fromInclusive() == 0;
    }
}
