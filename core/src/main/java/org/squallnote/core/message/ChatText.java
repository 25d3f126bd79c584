package org.squallnote.core.message;

import java.util.List;
import java.util.regex.Pattern;
import org.squallnote.core.text.Beginning;

/** What a chat message is called where a mail has its subject. */
public final class ChatText {

    private static final int LONGEST = 120;

    private static final Pattern MENTION = Pattern.compile("^@[^\\s,:]{1,80}[,:]? ");

    private ChatText() {}

    /**
     * The beginning of a text on one line, without the mention that it opens with.
     *
     * @param people those of the room, whose names may have several words
     */
    public static String beginning(String text, List<Party> people) {
        String line = text.replaceAll("\\s+", " ").strip();
        String said = withoutMention(line, people);
        String shown = said.isBlank() ? line : said;
        return Beginning.of(shown, LONGEST);
    }

    private static String withoutMention(String line, List<Party> people) {
        if (!line.startsWith("@")) {
            return line;
        }
        return Mention.at(line, 0, people)
                .map(found -> line.substring(found.toExclusive()).replaceFirst("^[,:]? ?", ""))
                .orElseGet(() -> MENTION.matcher(line).replaceFirst(""));
    }
}
