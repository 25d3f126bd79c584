package org.squallnote.core.reading;

import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows how letters begin: "Hi Tom,", "Dear all". */
final class Salutations {

    private final People people;

    Salutations(People people) {
        this.people = people;
    }

    /** Whether the sentence is nothing but a greeting, with or without names: "Hi Tom,", "Dear all", "Bart, Wilma,". */
    boolean isOne(Sentence sentence) {
        if (sentence.isQuestion()) {
            return false; // "Ines?"
        }
        int i = 0;
        while (i < sentence.size() && isGreeting(sentence, i)) {
            i++;
        }
        boolean greeted = i > 0;
        int from = i;
        while (i < sentence.size() && sentence.size() - from <= 8) {
            int next = afterName(sentence, i, greeted);
            if (next < 0) {
                return false;
            }
            i = next;
        }
        return i == sentence.size() && (greeted || i > from);
    }

    private int afterName(Sentence sentence, int i, boolean greeted) {
        String norm = sentence.norm(i);
        if (norm.equals("and")
                || norm.equals("or")
                || WordClass.EVERYBODY.has(sentence, i)
                || isGreeting(sentence, i)) {
            return i + 1;
        }
        People.FoundName found = people.at(sentence, i);
        if (found.isSomebody()) {
            return found.toExclusive();
        }
        boolean title = People.isTitle(norm) || norm.equals("my") || norm.equals("fellow");
        return title
                        || (greeted
                                && (sentence.at(i).capital() || i == sentence.size() - 1)
                                && !sentence.at(i).isNumber())
                ? i + 1
                : -1;
    }

    /** Whether a word greets: "hi", "good" before "morning". */
    static boolean isGreeting(Sentence sentence, int i) {
        if (sentence.norm(i).equals("good")) {
            return WordClass.GREETING.has(sentence, i + 1);
        }
        return WordClass.GREETING.has(sentence, i);
    }
}
