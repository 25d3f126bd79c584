package org.squallnote.formats.mail;

import org.squallnote.formats.html.HtmlText;

/**
 * Some programs write the plain alternative of an HTML mail (RFC 2046 section 5.1.4) as one line in which paragraphs,
 * lists and quotations run together. The HTML then says where they end.
 */
final class RunTogether {

    /** Nobody writes a paragraph of so many characters without meaning to. */
    private static final int LONG_LINE = 200;

    /** What has more lines than these was not run together; its HTML need not be read. */
    private static final int MOST_LINES = 3;

    /** So many letters have to be the same for the two to say the same. */
    private static final int COMPARED = 2_000;

    private RunTogether() {}

    /** The plain text, or that of the HTML where it says the same in at least three times as many lines. */
    static String mended(String plain, String html) {
        long lines = lines(plain);
        boolean suspect = lines <= MOST_LINES && plain.lines().anyMatch(line -> line.length() > LONG_LINE);
        if (!suspect) {
            return plain;
        }
        String structured = HtmlText.of(html);
        return lines(structured) >= 3 * lines && saysTheSame(plain, structured) ? structured : plain;
    }

    private static long lines(String text) {
        return text.lines().filter(line -> !line.isBlank()).count();
    }

    /** Whether nine of ten letters at the beginning are the same, one after the other. */
    private static boolean saysTheSame(String one, String other) {
        String first = letters(one);
        String second = letters(other);
        int same = 0;
        while (same < Math.min(first.length(), second.length()) && first.charAt(same) == second.charAt(same)) {
            same++;
        }
        return same >= 0.9 * Math.max(first.length(), second.length());
    }

    private static String letters(String text) {
        return text.codePoints()
                .filter(Character::isLetterOrDigit)
                .limit(COMPARED)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }
}
