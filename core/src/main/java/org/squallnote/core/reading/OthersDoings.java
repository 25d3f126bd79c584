package org.squallnote.core.reading;

import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/**
 * Words that would ask, said of somebody else: "she will let me know by Friday", "the plumber has promised to get back
 * to us". Only a verb in its bare form can be mistaken so.
 */
final class OthersDoings {

    private final People people;

    OthersDoings(People people) {
        this.people = people;
    }

    boolean isOne(Sentence sentence, Parts parts, SentenceAsks.FoundAsk ask) {
        int at = ask.from();
        while (at > 0 && sentence.at(at).is("back", "to", "over", "me", "us")) {
            at--; // "back to me by Friday" in "get back to me by Friday"
        }
        if (ask.kind() != Ask.Kind.REQUEST
                || !(WordClass.IMPERATIVE.has(sentence, at) || WordClass.GIVING_FORMS.has(sentence, at))) {
            return false;
        }
        int before = at - 1;
        while (before > 0 && WordClass.BETWEEN_WILL_AND_VERB.has(sentence, before)) {
            before--;
        }
        int first = parts.firstOfClause(parts.clauseOf(at));
        if (before <= first && !WordClass.THEY_WILL.has(sentence, before)) {
            return false;
        }
        boolean said = WordClass.THEY_WILL.has(sentence, before)
                || WordClass.MODAL.has(sentence, before)
                || (sentence.norm(before).equals("to") && isTheirs(sentence, before, first));
        return said && !isAskedToo(sentence, first, Math.max(before, ask.to()));
    }

    private static boolean isTheirs(Sentence sentence, int to, int first) {
        if (WordClass.INTENDING.has(sentence, to - 1)) {
            return true;
        }
        for (int i = to - 2; i >= Math.max(first, to - 6); i--) {
            if (WordClass.EXPECTING.has(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    private boolean isAskedToo(Sentence sentence, int first, int end) {
        for (int i = first; i < end; i++) {
            if (WordClass.ASKED_TOO.has(sentence, i)
                    || WordClass.AUDIENCE.has(sentence, i)
                    || (sentence.at(i).capital() && people.at(sentence, i).isSomebody())) {
                return true;
            }
        }
        return false;
    }
}
