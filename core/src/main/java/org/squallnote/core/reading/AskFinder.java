package org.squallnote.core.reading;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Finds the first sentence of the own words that asks something: a question or a request. */
public final class AskFinder {

    /** Text beyond this many characters is not searched for asks. */
    static final int LONGEST_TEXT = 50_000;

    private static final Pattern REQUEST = Pattern.compile(
            "\\b(please (?!note|find|see attached)\\w+|could you|can you|would you|will you|let me know (whether|if you can|when|what|which|how|by)"
                    + "|i need|we need|don't forget|i'd be grateful|waiting for your)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern COURTESY = Pattern.compile(
            "^(how are you|how was your|how's it going|hope you|any questions)\\b.*|.*\\b(if you have any questions|any questions, )\\b.*",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

    private AskFinder() {}

    /** The first ask in the text. */
    public static Optional<Ask> firstIn(String ownWords) {
        return sentences(ownWords).stream().filter(AskFinder::asks).findFirst().map(Ask::new);
    }

    private static boolean asks(String sentence) {
        if (COURTESY.matcher(sentence).matches()) {
            return false;
        }
        return sentence.endsWith("?") || REQUEST.matcher(sentence).find();
    }

    /** The sentences of the text; a blank line always ends one. */
    static List<String> sentences(String text) {
        String bounded = text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text;
        List<String> sentences = new ArrayList<>();
        for (String paragraph : bounded.split("\n\\s*\n")) {
            String folded = paragraph.replaceAll("\\s+", " ").strip();
            BreakIterator breaks = BreakIterator.getSentenceInstance(Locale.ENGLISH);
            breaks.setText(folded);
            int start = breaks.first();
            for (int end = breaks.next(); end != BreakIterator.DONE; start = end, end = breaks.next()) {
                String sentence = folded.substring(start, end).strip();
                if (!sentence.isEmpty()) {
                    sentences.add(sentence);
                }
            }
        }
        return sentences;
    }
}
