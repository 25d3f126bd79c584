package org.squallnote.core.text;

/** What sort a character is; for ASCII, which nearly all characters are, by one look into a table. */
public final class Letters {

    private static final byte LETTER_OR_DIGIT = 1;
    private static final byte DIGIT = 2;
    private static final byte SPACE = 4;
    private static final byte LETTER = 8;
    private static final int ASCII = 128;

    private static final byte[] SORTS = sorts();

    private Letters() {}

    private static byte[] sorts() {
        byte[] sorts = new byte[ASCII];
        for (char c = 0; c < ASCII; c++) {
            int sort = (Character.isLetterOrDigit(c) ? LETTER_OR_DIGIT : 0)
                    | (Character.isDigit(c) ? DIGIT : 0)
                    | (Character.isWhitespace(c) ? SPACE : 0)
                    | (Character.isLetter(c) ? LETTER : 0);
            sorts[c] = (byte) sort;
        }
        return sorts;
    }

    /** As {@link Character#isWhitespace(char)}. */
    public static boolean isSpace(char c) {
        return c < ASCII ? (SORTS[c] & SPACE) != 0 : Character.isWhitespace(c);
    }

    /** As {@link Character#isLetterOrDigit(char)}. */
    public static boolean isLetterOrDigit(char c) {
        return c < ASCII ? (SORTS[c] & LETTER_OR_DIGIT) != 0 : Character.isLetterOrDigit(c);
    }

    /** As {@link Character#isLetter(char)}. */
    public static boolean isLetter(char c) {
        return c < ASCII ? (SORTS[c] & LETTER) != 0 : Character.isLetter(c);
    }

    /** As {@link Character#isDigit(char)}. */
    public static boolean isDigit(char c) {
        return c < ASCII ? (SORTS[c] & DIGIT) != 0 : Character.isDigit(c);
    }

    /** Each of the characters in lower case, with straight apostrophes for curly ones. */
    static char[] folded(char[] text) {
        char[] folded = new char[text.length];
        for (int i = 0; i < text.length; i++) {
            folded[i] = folded(text[i]);
        }
        return folded;
    }

    /** The character in lower case, and a straight apostrophe for a curly one. */
    public static char folded(char c) {
        if (c < ASCII) {
            return c >= 'A' && c <= 'Z' ? (char) (c + ('a' - 'A')) : c;
        }
        return c == '’' ? '\'' : Character.toLowerCase(c);
    }
}
