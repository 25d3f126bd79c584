package org.squallnote.core.text;

import java.util.regex.Pattern;

/** The beginning of a text that is shown where there is no room for all of it. */
public final class Beginning {

    private static final Pattern SPACE = Pattern.compile("\\s+");

    private Beginning() {}

    /**
     * A text as it is, or its beginning with an ellipsis.
     *
     * @param most so many characters at the most, the ellipsis included; more than one
     */
    public static String of(String text, int most) {
        if (text.length() <= most) {
            return text;
        }
        // No character is torn apart.
        int end = Character.isHighSurrogate(text.charAt(most - 2)) ? most - 2 : most - 1;
        return text.substring(0, end) + "…";
    }

    /** The same of a text put on one line. */
    public static String onOneLine(String text, int most) {
        return of(SPACE.matcher(text).replaceAll(" ").strip(), most);
    }
}
