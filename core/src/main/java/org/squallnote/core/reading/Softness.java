package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Whether the day of a date is meant strictly: what is said around it makes it hard or softens it. */
final class Softness {

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;

    Softness(Sentence sentence, Parts parts, List<PhraseMatch> acts) {
        this.sentence = sentence;
        this.parts = parts;
        this.acts = acts;
    }

    boolean isHard(DatePhrase phrase) {
        for (PhraseMatch act : acts) {
            boolean after = act.fromInclusive() == phrase.toExclusive();
            boolean before =
                    act.toExclusive() <= phrase.fromInclusive() && act.toExclusive() >= phrase.fromInclusive() - 2;
            boolean overlaps =
                    act.fromInclusive() < phrase.fromInclusive() && act.toExclusive() > phrase.fromInclusive() - 1;
            boolean states = act.label().equals("hard") || act.label().equals("closing");
            if (states && (after || before || overlaps) && !isSaidOfAThing(act) && !isOpeningHour(act, phrase)) {
                return true;
            }
        }
        return sentence.norm(phrase.toExclusive()).equals("latest");
    }

    /** "if you find the time this week". */
    boolean isRightBehindSoftening(DatePhrase phrase) {
        for (PhraseMatch act : acts) {
            if (act.label().equals("soft") && act.toExclusive() == phrase.fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    /** "Let me know by Friday if that works": the condition is the question. */
    private boolean isWhatIsAsked(PhraseMatch soft) {
        int from = soft.fromInclusive();
        if (!sentence.norm(from).equals("if") || !WordClass.IT.has(sentence, from + 1)) {
            return false;
        }
        for (int i = from - 1; i >= 0 && parts.unitOf(i) == parts.unitOf(from); i--) {
            boolean asking =
                    sentence.norm(i).equals("ask") && !sentence.norm(i + 1).equals("you");
            if (asking || sentence.at(i).is("know", "tell", "confirm", "say")) {
                return true;
            }
        }
        return false;
    }

    /** Softened by a word of its sentence; where there are several dates, the nearest one is meant. */
    boolean isSoftened(DatePhrase phrase, int dates) {
        for (PhraseMatch act : acts) {
            if (act.label().equals("soft") && !isWhatIsAsked(act)) {
                boolean sameClause = parts.clauseOf(act.fromInclusive()) == parts.clauseOf(phrase.fromInclusive());
                boolean adjacent = act.fromInclusive() == phrase.toExclusive()
                        || (act.toExclusive() >= phrase.fromInclusive() - 2
                                && act.toExclusive() <= phrase.fromInclusive()
                                && !sentence.at(act.toExclusive()).is("otherwise", "else", "or"));
                boolean ofSomethingElse = !sameClause && (isOfAThing(act.toExclusive()) || beginsWithAThing(act));
                if (!ofSomethingElse && (dates == 1 || sameClause || adjacent)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** "the plan that is valid until Friday". */
    private boolean isSaidOfAThing(PhraseMatch act) {
        int before = act.fromInclusive() - 1;
        int relative = WordClass.IS_ARE.has(sentence, before) ? before - 1 : before;
        return act.label().equals("closing") && WordClass.RELATIVE.has(sentence, relative);
    }

    /** "The café is open until 5." */
    private boolean isOpeningHour(PhraseMatch act, DatePhrase phrase) {
        boolean open = false;
        for (int i = act.fromInclusive(); i < act.toExclusive(); i++) {
            open |= sentence.norm(i).equals("open");
        }
        return open && phrase.form() == DatePhrase.Form.TIME;
    }

    /** "by Friday, as a PDF if possible", "by Friday, A3 if you can". */
    private boolean beginsWithAThing(PhraseMatch act) {
        int first = parts.firstOfClause(parts.clauseOf(act.fromInclusive()));
        boolean named = first < act.fromInclusive()
                && sentence.norm(act.fromInclusive()).equals("if")
                && !Clauses.isLeadIn(sentence, first)
                && !Clauses.isConjunction(sentence, first)
                && !WordClass.IT.has(sentence, first);
        return named || isOfAThing(first);
    }

    /** "with the annex if possible", "if possible as a PDF": not the day is flexible. */
    private boolean isOfAThing(int at) {
        return WordClass.OF_A_THING.has(sentence, at);
    }
}
