package org.squallnote.core.text;

/**
 * One word of a sentence.
 *
 * @param norm lower case, with straight apostrophes and common misspellings put right: what rules look at
 * @param number its number in the {@link Vocabulary}; of a word that is not there the number of words, as a negative one
 * @param span where it stands in the text
 * @param before the strongest mark between the word before and this one: one of {@code , ; : ( ) - "}, {@code *} for a
 *     picture, or {@link #NOTHING}
 * @param capital whether it was written with a capital first letter
 * @param quoted whether it stands inside quotation marks: somebody else's words, or a title
 */
public record Word(String norm, int number, Span span, char before, boolean capital, boolean quoted) {

    /** No mark, only a space. */
    public static final char NOTHING = ' ';

    /** Whether a mark stands before it. */
    public boolean followsMark() {
        return before != NOTHING;
    }

    /** Whether a mark cuts it off from the word before it; one that only opens what is quoted or listed does not. */
    public boolean isCutOff() {
        return before != NOTHING && before != '"' && before != ':';
    }

    /** Whether it begins with a digit. */
    public boolean isNumber() {
        return Letters.isDigit(norm.charAt(0));
    }

    /** Whether it names somebody by chat id or name with an at sign, or everybody in the room. */
    public boolean isMention() {
        return norm.length() > 1 && norm.charAt(0) == '@';
    }

    /** Whether it is one of these. */
    public boolean is(String... words) {
        for (String word : words) {
            if (norm.equals(word)) {
                return true;
            }
        }
        return false;
    }
}
