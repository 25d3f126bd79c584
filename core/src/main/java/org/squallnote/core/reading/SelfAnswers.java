package org.squallnote.core.reading;

import java.util.List;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/**
 * Knows what a writer settles in the next words: a question answered ("Does it work? No."), an ask taken back ("Could you
 * look? Ah, forget it"), what is waited for before a promise.
 */
final class SelfAnswers {

    private static final WordClass ALONE = WordClass.ANSWERS_ALONE;
    private static final WordClass SETTLED = WordClass.SETTLED;

    private static final WordClass EXCLAIMED = WordClass.EXCLAIMED;
    private static final WordClass PLACED = WordClass.PLACED;

    private static final Set<Ask.Kind> ALL = Set.of(Ask.Kind.values());

    private SelfAnswers() {}

    /**
     * The kinds of asks in a sentence that come to nothing by what follows.
     *
     * @param following the next sentences, at least one
     */
    static Set<Ask.Kind> settles(Sentence sentence, List<Sentence> following) {
        if (takesBack(following)) {
            return ALL;
        }
        if (saysWhatHoldsUp(sentence, following)) {
            return Set.of(Ask.Kind.NEED);
        }
        return answers(sentence, following) ? Set.of(Ask.Kind.QUESTION) : Set.of();
    }

    /** Whether what follows answers the question. */
    private static boolean answers(Sentence question, List<Sentence> following) {
        Sentence next = following.get(0);
        if (!question.isQuestion() || next.isQuestion()) {
            return false;
        }
        boolean asksYou = question.hasWord("you", "your");
        if (following.size() > 1 && next.size() == 1 && EXCLAIMED.has(next, 0)) {
            // "Where's the stapler? Oh. In my hand."
            Sentence then = following.get(1);
            return question.norm(0).startsWith("where") && PLACED.has(then, 0) && !then.isQuestion();
        }
        String word = next.norm(0);
        String second = next.norm(1);
        boolean alone = next.size() == 1 || next.at(1).followsMark();
        if (ALONE.has(next, 0) && alone) {
            return !asksYou;
        }
        return switch (word) {
            case "because" -> isWhy(question);
            case "turns" -> second.equals("out");
            case "it's", "that's" -> second.equals("because");
            case "ah", "oh", "wait", "nvm", "found", "got" -> isFound(next);
            case "of" -> second.equals("course");
            case "not" ->
                second.equals("a")
                        || second.equals("one")
                        || second.equals("at")
                        || second.equals("much")
                        || second.equals("even");
            case "obviously", "apparently", "spoiler", "hint", "somebody" -> !asksYou;
            case "they", "he", "she" -> !asksYou && isTold(question);
            default -> isWhy(question) && !asksYou && isSettled(following);
        };
    }

    /** Whether what follows takes it back: "Could you look at it? Ah, forget it, Gus has just done it." */
    private static boolean takesBack(List<Sentence> following) {
        Sentence next = following.get(0);
        int at = EXCLAIMED.has(next, 0) || next.at(0).is("no", "ok", "actually", "sorry") ? 1 : 0;
        return switch (next.norm(at)) {
            case "forget", "scrap", "scratch", "ignore" ->
                next.size() > at + 1 && next.at(at + 1).is("it", "that");
            case "never" -> next.norm(at + 1).equals("mind");
            case "nevermind", "nvm" -> true;
            default -> false;
        };
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

    /** "Where is it? Ah, found it": nobody needs to tell them. */
    private static boolean isFound(Sentence next) {
        for (int i = 0; i < Math.min(3, next.size()); i++) {
            boolean has = next.at(i).is("found", "got", "have") && i + 1 < next.size();
            if (next.norm(i).equals("nvm") || (has && next.at(i + 1).is("it", "them", "one"))) {
                return true;
            }
        }
        return false;
    }

    /** "What did they say? They said …": a story told as question and answer. */
    private static boolean isTold(Sentence question) {
        String word =
                question.norm(0).equals("and") || question.norm(0).equals("so") ? question.norm(1) : question.norm(0);
        boolean told = question.hasWord("say", "do", "did", "think", "happened", "reply", "answer");
        return told && (word.equals("what") || word.equals("how"));
    }

    private static boolean isWhy(Sentence question) {
        return question.hasWord("why");
    }

    /** Whether the next sentences tell a story that has ended: "it's fixed now". */
    private static boolean isSettled(List<Sentence> following) {
        for (Sentence sentence : following) {
            for (int i = 0; i < sentence.size(); i++) {
                if (SETTLED.has(sentence, i)) {
                    return true;
                }
            }
        }
        return false;
    }
}
