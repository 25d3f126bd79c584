package org.squallnote.core.reading;

import org.squallnote.core.dates.DateLeads;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** The limit that stands before an event with a date: "before the meeting on Friday". */
final class EventLeads {

    private static final WordSet BETWEEN = WordSet.of("on", "at", "this", "next");

    private static final WordSet DETERMINERS =
            WordSet.of("the", "our", "your", "my", "their", "his", "her", "next", "this", "board", "team", "committee");

    private EventLeads() {}

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
        String lead = i < 0 || sentence.norm(i).equals("for") ? "" : DateLeads.at(sentence, i);
        return lead.equals("before") || lead.equals("by") ? i : -1;
    }
}
