package org.squallnote.core.reading;

import java.util.List;
import java.util.Set;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/**
 * Knows what a writer settles in the next words: a question answered ("Does it work? No."), an ask taken back ("Could you
 * look? Ah, forget it"), what is waited for before a promise.
 */
final class SelfAnswers {

    private static final Set<Ask.Kind> ALL = Set.of(Ask.Kind.values());

    private SelfAnswers() {}

    /**
     * The kinds of asks in a sentence that come to nothing by what follows.
     *
     * @param following the next sentences, at least one
     * @param next the phrases that stand in the first of these
     */
    static Set<Ask.Kind> settles(Sentence sentence, List<Sentence> following, List<PhraseMatch> next) {
        if (takesBack(following.get(0), next)) {
            return ALL;
        }
        if (saysWhatHoldsUp(sentence, following)) {
            return Set.of(Ask.Kind.NEED);
        }
        return answers(sentence, following, next) ? Set.of(Ask.Kind.QUESTION) : Set.of();
    }

    /** Whether what follows answers the question. */
    private static boolean answers(Sentence question, List<Sentence> following, List<PhraseMatch> phrases) {
        Sentence next = following.get(0);
        if (!question.isQuestion() || next.isQuestion()) {
            return false;
        }
        boolean asksYou = question.hasWord("you", "your");
        if (following.size() > 1 && next.size() == 1 && WordClass.EXCLAIMED.has(next, 0)) {
            // "Where's the stapler? Oh. In my hand."
            Sentence then = following.get(1);
            return question.norm(0).startsWith("where") && WordClass.PLACED.has(then, 0) && !then.isQuestion();
        }
        boolean alone = next.size() == 1 || next.at(1).followsMark();
        if (WordClass.ANSWERS_ALONE.has(next, 0) && alone) {
            return !asksYou;
        }
        if (WordClass.BECAUSE.has(next, 0)) {
            return isWhy(question);
        }
        if (WordClass.CRIES.has(next, 0)) {
            return PhraseMatch.isAt(phrases, "found", 0)
                    || PhraseMatch.isAt(phrases, "found", 1)
                    || PhraseMatch.isAt(phrases, "found", 2);
        }
        if (PhraseMatch.isAt(phrases, "answers-itself", 0)) {
            return true;
        }
        if (WordClass.OPENS_A_POINT.has(next, 0)) {
            return !asksYou;
        }
        return WordClass.THIRD_PERSONS.has(next, 0)
                ? !asksYou && isTold(question)
                : isWhy(question) && !asksYou && isSettled(following);
    }

    /** Whether what follows takes it back: "Could you look at it? Ah, forget it, Gus has just done it." */
    private static boolean takesBack(Sentence next, List<PhraseMatch> phrases) {
        boolean led = WordClass.EXCLAIMED.has(next, 0) || WordClass.BEFORE_TAKING_BACK.has(next, 0);
        return PhraseMatch.isAt(phrases, "takes-back", led ? 1 : 0);
    }

    /**
     * Whether a sentence says what its writer waits for before they do what they promise next: "I'm waiting for the
     * contract. As soon as it's here I'll do the sum."
     */
    private static boolean saysWhatHoldsUp(Sentence waiting, List<Sentence> following) {
        return waiting.hasWord("waiting", "wait")
                && !waiting.isQuestion()
                && !waiting.hasWord("you", "your", "yours")
                && following.get(0).hasWord("i'll", "we'll")
                && !following.get(0).hasWord("you", "your", "please");
    }

    /** "What did they say? They said …": a story told as question and answer. */
    private static boolean isTold(Sentence question) {
        int first = Clauses.isConjunction(question, 0) ? 1 : 0;
        return WordClass.TOLD_OF.hasAnyOf(question) && WordClass.WHAT_OR_HOW.has(question, first);
    }

    private static boolean isWhy(Sentence question) {
        return question.hasWord("why");
    }

    /** Whether the next sentences tell a story that has ended: "it's fixed now". */
    private static boolean isSettled(List<Sentence> following) {
        for (Sentence sentence : following) {
            for (int i = 0; i < sentence.size(); i++) {
                if (WordClass.SETTLED.has(sentence, i)) {
                    return true;
                }
            }
        }
        return false;
    }
}
