package org.squallnote.core.message;

import java.util.List;
import java.util.Locale;
import org.squallnote.core.text.WordList;

/**
 * Knows the text of an out-of-office reply that lacks the headers of one. It says in its first lines that it is
 * automatic, or that somebody is away together with two of the things such texts say; a letter that greets somebody by
 * name is no such text.
 */
final class AwayText {

    private static final List<String> AUTOMATIC = WordList.lines(AwayText.class, "automatic-text.txt");
    private static final List<String> AWAY = WordList.lines(AwayText.class, "away-text.txt");
    private static final List<String> USUAL = WordList.lines(AwayText.class, "away-usual.txt");
    private static final int BEGINNING = 400;
    private static final int LONGEST = 1_500;

    private AwayText() {}

    static boolean isOne(String text) {
        if (text.length() > 2 * LONGEST) {
            return false;
        }
        String beginning = folded(text, BEGINNING);
        boolean automatic = containsAny(beginning, AUTOMATIC);
        boolean asks = beginning.indexOf('?') >= 0;
        if (!automatic && (asks || !containsAny(beginning, AWAY) || greetsByName(beginning))) {
            return false;
        }
        String lower = folded(text, LONGEST + 1);
        if (automatic || lower.length() > LONGEST) {
            return lower.length() <= LONGEST;
        }
        String firstSentence = beginning.split("[.!]", 2)[0];
        long usual = USUAL.stream().filter(lower::contains).count();
        boolean opens = containsAny(firstSentence, AWAY);
        return usual >= 2 || (opens && usual >= 1);
    }

    /** The beginning in lower case, with one space where there is white space. */
    private static String folded(String text, int most) {
        StringBuilder folded = new StringBuilder(most);
        for (int i = 0; i < text.length() && folded.length() < most; i++) {
            char c = text.charAt(i);
            if (!Character.isWhitespace(c)) {
                folded.append(c == '’' ? '\'' : c);
            } else if (folded.length() > 0 && folded.charAt(folded.length() - 1) != ' ') {
                folded.append(' ');
            }
        }
        return folded.toString().toLowerCase(Locale.ROOT);
    }

    private static boolean containsAny(String text, List<String> words) {
        for (String each : words) {
            if (text.contains(each)) {
                return true;
            }
        }
        return false;
    }

    /** "Hi Piet" greets somebody; "Hello," and "Dear sender" do not. */
    private static boolean greetsByName(String lower) {
        for (String greeting : List.of("hi ", "hello ", "dear ", "hey ", "morning ", "good morning ")) {
            if (lower.startsWith(greeting)) {
                String next = lower.substring(greeting.length()).split("[ ,!.\n]", 2)[0];
                return !List.of(
                                "there",
                                "sender",
                                "all",
                                "sir",
                                "madam",
                                "and",
                                "everyone",
                                "correspondent",
                                "customer")
                        .contains(next);
            }
        }
        return false;
    }
}
