package org.squallnote.core.message;

/** What a chat message is called where a mail has its subject. */
public final class ChatText {

    private static final int LONGEST = 120;

    private ChatText() {}

    /** The beginning of a text on one line. */
    public static String beginning(String text) {
        String line = text.replaceAll("\\s+", " ").strip();
        return line.length() > LONGEST ? line.substring(0, LONGEST - 1) + "…" : line;
    }
}
