package org.squallnote.core.thread;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A subject reduced to what the conversation is about, by RFC 5256 section 2.1.
 *
 * @param text the base subject in lower case, empty when nothing is left
 * @param replyOrForward whether something was removed that marks a reply or a forwarded message
 */
public record BaseSubject(String text, boolean replyOrForward) {

    /** Longer subjects are cut before they are read; nobody threads by the rest. */
    private static final int LONGEST = 500;

    // The repetitions are possessive, so that a hostile subject costs linear time.
    private static final Pattern LEADER =
            Pattern.compile("^(?:\\[[^\\[\\]]*+\\]\\s*+)*+(?:re|fwd?)\\s*+(?:\\[[^\\[\\]]*+\\]\\s*+)?+:");
    private static final Pattern BLOB = Pattern.compile("^\\[[^\\[\\]]*+\\]\\s*+");

    /** As RFC 5051 compares: whatever the case, and however a letter with a mark was put together. */
    private static String compared(String text) {
        String lower = text.toUpperCase(Locale.ROOT).toLowerCase(Locale.ROOT);
        return Normalizer.normalize(lower, Normalizer.Form.NFKD);
    }

    /** Extracts the base subject. */
    public static BaseSubject of(String subject) {
        String rest = subject.length() > LONGEST ? subject.substring(0, LONGEST) : subject;
        rest = compared(rest.replaceAll("\\s+", " ").strip());
        boolean marked = false;
        while (true) {
            boolean changed = false;
            while (rest.endsWith("(fwd)")) {
                rest = rest.substring(0, rest.length() - 5).strip();
                marked = true;
                changed = true;
            }
            boolean more = true;
            while (more) {
                more = false;
                Matcher leader = LEADER.matcher(rest);
                if (leader.find()) {
                    rest = rest.substring(leader.end()).strip();
                    marked = true;
                    more = true;
                } else {
                    Matcher blob = BLOB.matcher(rest);
                    if (blob.find() && blob.end() < rest.length()) {
                        rest = rest.substring(blob.end());
                        more = true;
                    }
                }
                changed |= more;
            }
            if (rest.startsWith("[fwd:") && rest.endsWith("]")) {
                rest = rest.substring(5, rest.length() - 1).strip();
                marked = true;
                changed = true;
            }
            if (!changed) {
                return new BaseSubject(rest, marked);
            }
        }
    }
}
