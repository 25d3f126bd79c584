package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;

/** Knows questions that want no answer. */
final class OnlyTalk {

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;
    private final QuestionShapes shapes;
    private final boolean goesOn;

    OnlyTalk(Sentence sentence, Parts parts, List<PhraseMatch> matches, QuestionShapes shapes, boolean goesOn) {
        this.sentence = sentence;
        this.parts = parts;
        this.matches = matches;
        this.shapes = shapes;
        this.goesOn = goesOn;
    }

    /** Greetings, rhetorical questions and reported ones; "answered" ones when something follows. */
    boolean isOne(int start) {
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
                    if ((inside && match.fromInclusive() <= shapes.afterLeadIn(start))
                            || (parts.isLastClause(parts.clauseOf(match.fromInclusive()))
                                    && parts.clauseOf(match.fromInclusive()) != clause
                                    && !shapes.isOne(start))) {
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
                            && shapes.isOne(start);
                    boolean mine = sentence.isQuestion()
                            && sentence.norm(match.fromInclusive() - 1).equals("i")
                            && sentence.norm(match.fromInclusive()).equals("thought");
                    if (!apart && !mine && (match.fromInclusive() < start || !shapes.isOne(start))) {
                        return true;
                    }
                }
                case "courtesy", "courtesy-if" -> {
                    if (!shapes.isOne(start) && parts.isLastClause(parts.clauseOf(match.fromInclusive()))) {
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
