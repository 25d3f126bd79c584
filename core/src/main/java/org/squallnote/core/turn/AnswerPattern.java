package org.squallnote.core.turn;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A kind of message by which somebody answers again and again without answering: a bare acknowledgement, or the same words
 * with other numbers, as a desk sends them that registers what comes in.
 *
 * @param text the words without numbers and marks, in lower case; empty for every bare acknowledgement
 */
public record AnswerPattern(String text) {

    private static final int LONGEST = 200;
    private static final Pattern NUMBERS = Pattern.compile("\\S*\\d\\S*");
    private static final Pattern MARKS = Pattern.compile("[^\\p{L}]+");

    /** Every message that only thanks, confirms or agrees. */
    public static final AnswerPattern BARE = new AnswerPattern("");

    /**
     * The kind of a message.
     *
     * @param ownWords what its writer wrote, without what is quoted
     */
    public static AnswerPattern of(Facts facts, String ownWords) {
        boolean bare = facts.thanksOnly() || facts.acknowledges() || facts.agrees();
        String text = folded(ownWords);
        return bare || text.isEmpty() ? BARE : new AnswerPattern(text);
    }

    /** Whether a message is of this kind. */
    public boolean fits(Facts facts, String ownWords) {
        return equals(of(facts, ownWords));
    }

    private static String folded(String words) {
        String beginning = words.length() > 20 * LONGEST ? words.substring(0, 20 * LONGEST) : words;
        String letters = MARKS.matcher(NUMBERS.matcher(beginning).replaceAll(" "))
                .replaceAll(" ")
                .strip()
                .toLowerCase(Locale.ROOT);
        return letters.length() > LONGEST ? letters.substring(0, LONGEST) : letters;
    }
}
