package org.squallnote.core.reading;

import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;

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
        String norm = sentence.norm(i);
        if (norm.equals("because") || norm.equals("but") || norm.equals("otherwise")) {
            return true;
        }
        if (norm.equals("as")) {
            return isReason(sentence, i);
        }
        if (!norm.equals("and")
                && !norm.equals("so")
                && !norm.equals("then")
                && !norm.equals("or")
                && !norm.equals("plus")) {
            return false;
        }
        String next = sentence.norm(i + 1);
        return sentence.at(i).before() == ','
                || (Clauses.isLeadIn(next) && !next.equals("all") && !next.equals("both"))
                || Clauses.isConjunction(next)
                || Phrases.MODAL.contains(next)
                || Phrases.IMPERATIVE.contains(next)
                || (Phrases.IMPERATIVE_OR_NOUN.contains(next) && Phrases.OBJECT.contains(sentence.norm(i + 2)))
                || isSubject(next);
    }

    /** "as our vessel sails on Wednesday", but not "as soon as the", "as well as our". */
    private static boolean isReason(Sentence sentence, int i) {
        String before = sentence.norm(i - 1);
        boolean compares = before.equals("soon")
                || before.equals("well")
                || before.equals("long")
                || before.equals("same")
                || before.equals("such")
                || before.equals("just")
                || before.equals("far")
                || before.equals("much");
        return !compares
                && switch (sentence.norm(i + 1)) {
                    case "our",
                            "we",
                            "i",
                            "he",
                            "she",
                            "they",
                            "the",
                            "my",
                            "it",
                            "i'm",
                            "we're",
                            "there",
                            "this",
                            "that" -> true;
                    default -> false;
                };
    }

    private static boolean isSubject(String norm) {
        return switch (norm) {
            case "i",
                    "i'm",
                    "i'll",
                    "i've",
                    "i'd",
                    "we",
                    "we'll",
                    "we're",
                    "we'd",
                    "we've",
                    "you",
                    "he",
                    "she",
                    "they",
                    "it",
                    "if",
                    "who",
                    "when",
                    "what",
                    "where",
                    "how",
                    "is",
                    "are",
                    "do",
                    "does",
                    "did",
                    "have",
                    "has",
                    "don't",
                    "that",
                    "there",
                    "let" -> true;
            default -> false;
        };
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
