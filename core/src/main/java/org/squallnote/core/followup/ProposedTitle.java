package org.squallnote.core.followup;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.text.WordList;

/** Proposes what a follow-up is called: a verb first, then about what. */
public final class ProposedTitle {

    /** Longer titles are cut at a word. */
    public static final int LONGEST = 200;

    private static final int WANTED = 90;
    private static final Pattern REPLY_MARKS =
            Pattern.compile("^((re|fwd?|aw|wg)\\s*:\\s*)+", Pattern.CASE_INSENSITIVE);
    private static final Pattern SPACE = Pattern.compile("\\s+");

    private static final Set<String> BY_ANSWERING =
            Set.copyOf(WordList.lines(ProposedTitle.class, "answering-verbs.txt"));

    private ProposedTitle() {}

    /**
     * The title for a message.
     *
     * @param subject the subject, empty in a chat
     * @param firstWords what the message says, used when there is no subject
     */
    public static String of(Party from, String subject, String firstWords) {
        String about = about(subject);
        if (about.isEmpty()) {
            about = SPACE.matcher(firstWords).replaceAll(" ").strip();
        }
        String title = about.isEmpty()
                ? "Answer " + from.shortName()
                : "Answer " + from.shortName() + " about " + withSmallStart(about);
        return cut(title);
    }

    private static String about(String subject) {
        Matcher marks = REPLY_MARKS.matcher(subject.strip());
        return SPACE.matcher(marks.replaceFirst("")).replaceAll(" ").strip();
    }

    /** The title for a message that was read: its ask, else its subject, else its first words. */
    public static String of(Party from, String subject, String firstWords, Reading reading) {
        return reading.askOfMe()
                .or(() -> reading.asks().stream().findFirst().filter(ask -> reading.asksMe()))
                .flatMap(ask -> AskTitle.of(from, withSmallStart(about(subject)), reading, ask))
                .map(ProposedTitle::cut)
                .orElseGet(() -> of(from, subject, firstWords));
    }

    /** Whether a word is one with which a title begins. */
    public static boolean isVerb(String word) {
        return AskTitle.VERBS.contains(word.toLowerCase(Locale.ROOT));
    }

    /** Whether what the title says is done by answering: to answer, tell, send, confirm. */
    public static boolean endsWithAnswer(String title) {
        return BY_ANSWERING.contains(title.strip().split(" ", 2)[0].toLowerCase(Locale.ROOT));
    }

    /** "Crane quote" becomes "crane quote"; names and abbreviations ("VAT return", "B12 lease") stay. */
    private static String withSmallStart(String about) {
        String first = about.split(" ", 2)[0];
        boolean plainWord = first.length() > 1
                && Character.isUpperCase(first.charAt(0))
                && first.substring(1).equals(first.substring(1).toLowerCase(Locale.ROOT))
                && first.chars().skip(1).allMatch(Character::isLetter)
                && about.contains(" ")
                && Character.isLowerCase(about.charAt(first.length() + 1));
        return plainWord ? about.substring(0, 1).toLowerCase(Locale.ROOT) + about.substring(1) : about;
    }

    private static String cut(String title) {
        if (title.length() <= WANTED) {
            return title;
        }
        int space = title.lastIndexOf(' ', WANTED);
        return title.substring(0, space > 20 ? space : WANTED) + "…";
    }
}
