package org.squallnote.core.followup;

import java.util.regex.Pattern;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Beginning;

/** What a follow-up is called that keeps a promise: "I'll send it on Friday" to Tilda becomes "Send it (for Tilda)". */
public final class PromiseTitle {

    private static final int WANTED = 80;
    private static final int LONGEST_READ = 400;
    private static final Pattern SPACE = Pattern.compile("\\s+");
    private static final Pattern OPENING = Pattern.compile(
            "(?i)^((sure|ok|okay|yes|sorry|right|fine|and|but|so)\\b[,.!]?\\s+){0,4}(i|we)(['\\u2019]ll| will| shall| am going to|['\\u2019]m going to| can| hope to)\\s+(then |also |just |certainly |gladly )?");
    private static final Pattern WHEN = Pattern.compile(
            "(?i)[,]?\\s+((on|by|until|before|next|this)\\s+(\\w+day|the \\d+\\w*|\\d+\\w* \\w+|week|month)|today|tomorrow|tonight|(this|tomorrow|in the) (morning|afternoon|evening)|soon|shortly)(\\s+(morning|afternoon|evening|at the latest))?[.!]*$");
    private static final Pattern END = Pattern.compile("[.!?;,\\s]+$");

    private PromiseTitle() {}

    /**
     * The title.
     *
     * @param words the promise in my words, empty where it was no more than yes
     * @param asked what it answers, empty where nobody asked
     * @param to whom it was promised
     */
    public static String of(String words, String asked, Party to) {
        String folded = SPACE.matcher(words.substring(0, Math.min(words.length(), LONGEST_READ)))
                .replaceAll(" ")
                .strip();
        String what = END.matcher(
                        WHEN.matcher(OPENING.matcher(folded).replaceFirst("")).replaceFirst(""))
                .replaceFirst("");
        if (what.isBlank()) {
            String about = SPACE.matcher(asked).replaceAll(" ").strip();
            return cut("Keep my word to " + to.shortName() + (about.isEmpty() ? "" : ": “" + cut(about) + "”"));
        }
        return cut(Character.toUpperCase(what.charAt(0)) + what.substring(1)) + " (for " + to.shortName() + ")";
    }

    private static String cut(String text) {
        return Beginning.of(text, WANTED);
    }
}
