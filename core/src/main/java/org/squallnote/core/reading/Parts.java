package org.squallnote.core.reading;

import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/**
 * The parts of a sentence: a <em>clause</em> lies between any two marks or conjunctions, a <em>unit</em> between strong
 * marks or conjunctions, so that "if you have questions, call me" is one unit of two clauses.
 */
final class Parts {

    private final int[] clauses;
    private final int[] units;

    Parts(Sentence sentence) {
        clauses = new int[sentence.size()];
        units = new int[sentence.size()];
        int clause = 0;
        int unit = 0;
        for (int i = 0; i < sentence.size(); i++) {
            char mark = sentence.at(i).before();
            boolean joined = i > 0 && isJoint(sentence, i);
            if (i > 0 && ((mark != ' ' && mark != '"') || joined)) {
                clause++;
            }
            if (i > 0
                    && (joined
                            || mark == ';'
                            || mark == ':'
                            || mark == '('
                            || mark == ')'
                            || mark == '-'
                            || mark == '*')) {
                unit++;
            }
            clauses[i] = clause;
            units[i] = unit;
        }
    }

    /** Whether a conjunction there joins two clauses and not two things: "and confirm them", not "salt and pepper". */
    private static boolean isJoint(Sentence sentence, int i) {
        if (!WordClass.JOINT.has(sentence, i)) {
            return false;
        }
        if (WordClass.ALWAYS_A_JOINT.has(sentence, i)) {
            return true;
        }
        if (sentence.norm(i).equals("as")) {
            return isReason(sentence, i);
        }
        String next = sentence.norm(i + 1);
        return sentence.at(i).before() == ','
                || (Clauses.isLeadIn(sentence, i + 1) && !next.equals("all") && !next.equals("both"))
                || Clauses.isConjunction(sentence, i + 1)
                || WordClass.MODAL.has(sentence, i + 1)
                || WordClass.IMPERATIVE.has(sentence, i + 1)
                || (WordClass.IMPERATIVE_NOUN.has(sentence, i + 1) && WordClass.OBJECT.has(sentence, i + 2))
                || WordClass.OPENS_A_CLAUSE.has(sentence, i + 1);
    }

    /** "as our vessel sails on Wednesday", but not "as soon as the", "as well as our". */
    private static boolean isReason(Sentence sentence, int i) {
        return !WordClass.COMPARING.has(sentence, i - 1) && WordClass.REASONING.has(sentence, i + 1);
    }

    int clauseOf(int word) {
        return clauses[Math.min(word, clauses.length - 1)];
    }

    int unitOf(int word) {
        return units[Math.min(word, units.length - 1)];
    }

    int firstOfClause(int clause) {
        int i = 0;
        while (i < clauses.length && clauses[i] < clause) {
            i++;
        }
        return i;
    }

    int firstOfUnit(int unit) {
        int i = 0;
        while (i < units.length && units[i] < unit) {
            i++;
        }
        return i;
    }

    int endOfUnit(int unit) {
        int i = units.length;
        while (i > 0 && units[i - 1] > unit) {
            i--;
        }
        return i;
    }

    boolean isLastClause(int clause) {
        return clauses.length > 0 && clauses[clauses.length - 1] == clause;
    }

    int lastClause() {
        return clauses[clauses.length - 1];
    }
}
