package org.squallnote.core.message;

import java.util.List;
import org.squallnote.core.text.Letters;
import org.squallnote.core.text.Wordings;

/**
 * Knows the text of an out-of-office reply that lacks the headers of one. It says in its first lines that it is
 * automatic, or that somebody is away together with two of the things such texts say; a letter that greets somebody by
 * name is no such text.
 */
final class AwayText {

    private static final Wordings AUTOMATIC = Wordings.listed(AwayText.class, "automatic-text.txt");
    private static final Wordings AWAY = Wordings.listed(AwayText.class, "away-text.txt");
    private static final Wordings UNREAD = Wordings.listed(AwayText.class, "away-unread.txt");
    private static final Wordings USUAL = Wordings.listed(AwayText.class, "away-usual.txt");
    private static final Wordings OF_A_PERSON = Wordings.listed(AwayText.class, "away-person.txt");
    private static final int BEGINNING = 400;
    private static final int LONGEST = 1_500;

    private AwayText() {}

    static boolean isOne(String text) {
        if (text.length() > 2 * LONGEST) {
            return false;
        }
        String beginning = folded(text, BEGINNING);
        boolean automatic = AUTOMATIC.isAnyIn(beginning);
        boolean asks = beginning.indexOf('?') >= 0;
        boolean person = asks || greetsByName(beginning) || OF_A_PERSON.isAnyIn(beginning);
        if (!automatic && (person || !AWAY.isAnyIn(beginning))) {
            return false;
        }
        String lower = folded(text, LONGEST + 1);
        if (automatic || lower.length() > LONGEST) {
            return lower.length() <= LONGEST;
        }
        int usual = USUAL.countIn(lower);
        boolean opens = AWAY.isAnyIn(firstSentence(beginning));
        return usual >= 2 || (opens && usual >= 1);
    }

    /**
     * The same in a chat, where nobody is greeted and a colleague says in few words that they are away: it says that it is
     * automatic, or begins with being away and says that nobody reads what comes.
     */
    static boolean isOneInChat(String text) {
        if (text.length() > LONGEST) {
            return false;
        }
        String lower = folded(text, LONGEST);
        boolean away = AWAY.isAnyIn(firstSentence(lower)) && UNREAD.isAnyIn(lower) && lower.indexOf('?') < 0;
        return AUTOMATIC.isAnyIn(lower) || away;
    }

    private static String firstSentence(String lower) {
        return lower.split("[.!]", 2)[0];
    }

    /** The beginning in lower case, with one space where there is white space. */
    private static String folded(String text, int most) {
        char[] folded = new char[Math.min(most, text.length())];
        int length = 0;
        for (int i = 0; i < text.length() && length < folded.length; i++) {
            char c = text.charAt(i);
            if (!Letters.isSpace(c)) {
                folded[length++] = Letters.folded(c);
            } else if (length > 0 && folded[length - 1] != ' ') {
                folded[length++] = ' ';
            }
        }
        return new String(folded, 0, length);
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
