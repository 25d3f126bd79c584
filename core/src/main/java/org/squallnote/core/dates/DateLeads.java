package org.squallnote.core.dates;

import org.squallnote.core.text.Sentence;

/** The words in front of a date that tell what it is: "by", "before", and what means the same. */
public final class DateLeads {

    private DateLeads() {}

    /** The word at that place; "before" for "ahead of" or "prior to", "by" for "in time for", "up until" or "not after". */
    public static String at(Sentence sentence, int index) {
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

    /** Whether a date behind that place is a limit: "by the first", "ahead of Wednesday's meeting". */
    public static boolean isLimit(Sentence sentence, int index) {
        return switch (at(sentence, index)) {
            case "by", "before", "until", "till" -> true;
            default -> false;
        };
    }
}
