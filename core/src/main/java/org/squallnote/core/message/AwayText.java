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
        String lower = text.strip().toLowerCase(Locale.ROOT).replace('’', '\'').replaceAll("\\s+", " ");
        if (lower.length() > LONGEST) {
            return false;
        }
        String beginning = lower.substring(0, Math.min(lower.length(), BEGINNING));
        String firstSentence = beginning.split("[.!]", 2)[0];
        if (AUTOMATIC.stream().anyMatch(beginning::contains)) {
            return true;
        }
        if (greetsByName(lower) || AWAY.stream().noneMatch(beginning::contains)) {
            return false;
        }
        long usual = USUAL.stream().filter(lower::contains).count();
        boolean opens = AWAY.stream().anyMatch(firstSentence::contains);
        return usual >= 2 || (opens && usual >= 1);
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
