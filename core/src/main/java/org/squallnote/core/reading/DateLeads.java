package org.squallnote.core.reading;

import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** The words in front of a date that tell what it is: "by", "before", and what means the same. */
final class DateLeads {

    private static final WordSet BETWEEN = WordSet.of("on", "at", "this", "next");

    private static final WordSet DETERMINERS =
            WordSet.of("the", "our", "your", "my", "their", "his", "her", "next", "this", "board", "team", "committee");

    private DateLeads() {}

    /** The word at that place; "before" for "ahead of" or "prior to", "by" for "in time for", "up until" or "not after". */
    static String at(Sentence sentence, int index) {
        String word = sentence.norm(index);
        String before = sentence.norm(index - 1);
        return switch (word) {
            case "of" ->
                before.equals("ahead") || before.equals("advance") ? "before" : before.equals("course") ? "by" : word;
            case "to" -> before.equals("prior") ? "before" : before.equals("now") ? "by" : word;
            case "than" -> before.equals("earlier") ? "before" : word;
            case "for" -> before.equals("time") && sentence.norm(index - 2).equals("in") ? "by" : word;
            case "after" -> before.equals("not") ? "by" : word;
            case "until", "till" -> before.equals("up") ? "by" : word;
            default -> word;
        };
    }

    /** Where the "before" or "by" of "before the meeting on Friday" stands, seen from Friday; -1 where there is none. */
    static int beforeEvent(Sentence sentence, int date) {
        int i = BETWEEN.has(sentence, date - 1) ? date - 2 : date - 1;
        if (!Phrases.EVENT.has(sentence, i)) {
            return -1;
        }
        i--;
        while (DETERMINERS.has(sentence, i)) {
            i--;
        }
        // "In time for the meeting" says less than a day that is named besides.
        String lead = i < 0 || sentence.norm(i).equals("for") ? "" : at(sentence, i);
        return lead.equals("before") || lead.equals("by") ? i : -1;
    }
}
