package org.squallnote.core.recipe;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Nature;

/**
 * On which messages a recipe runs. Whatever is given has to hold; what is left empty says nothing.
 *
 * @param sender part of the writer's name or address
 * @param domain of the writer's address, or of one above it
 * @param list the address of a mailing list
 * @param room the id of a chat room
 * @param words one of these has to stand in the subject or the text, as whole words
 * @param nature who is behind it
 * @param addressed whether I am in To or in Cc
 * @param files whether it carries files
 * @param asksMe whether it asks me
 */
public record Conditions(
        String sender,
        String domain,
        String list,
        String room,
        List<String> words,
        @Nullable Nature nature,
        @Nullable Addressed addressed,
        @Nullable Boolean files,
        @Nullable Boolean asksMe) {

    /** Nothing is asked for, so that nothing is found. */
    public static final Conditions NONE = new Conditions("", "", "", "", List.of(), null, null, null, null);

    /** How a message reached me. */
    public enum Addressed {
        TO,
        CC
    }

    /**
     * A message as far as conditions look at it.
     *
     * @param fromName the writer's name
     * @param text subject and text
     */
    public record Candidate(
            String fromName,
            String fromAddress,
            String list,
            String room,
            String text,
            Nature nature,
            boolean to,
            boolean cc,
            boolean files,
            boolean asksMe) {}

    /** Copies the words. */
    public Conditions {
        words = words.stream()
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** Whether nothing is asked for; a recipe without conditions never runs by itself. */
    public boolean areNone() {
        return equals(NONE);
    }

    /** Whether they name from whom or through which list a message comes, and it does so. */
    public boolean areAbout(String fromName, String fromAddress, String throughList) {
        boolean named = !(sender.isBlank() && domain.isBlank() && list.isBlank());
        return named && sender(fromName, fromAddress) && domain(fromAddress) && list(throughList);
    }

    /** Whether everything that is given holds. */
    public boolean hold(Candidate message) {
        return sender(message.fromName(), message.fromAddress())
                && domain(message.fromAddress())
                && list(message.list())
                && (room.isBlank() || message.room().equals(room.strip()))
                && (nature == null || nature == message.nature())
                && (addressed == null || (addressed == Addressed.TO ? message.to() : message.cc()))
                && (files == null || files == message.files())
                && (asksMe == null || asksMe == message.asksMe())
                && words(message);
    }

    private boolean sender(String fromName, String fromAddress) {
        String wanted = sender.strip().toLowerCase(Locale.ROOT);
        return wanted.isEmpty()
                || fromAddress.contains(wanted)
                || fromName.toLowerCase(Locale.ROOT).contains(wanted);
    }

    private boolean domain(String fromAddress) {
        String wanted = domain.strip().toLowerCase(Locale.ROOT).replaceFirst("^@", "");
        return wanted.isEmpty()
                || fromAddress.endsWith("@" + wanted)
                || (fromAddress.contains("@") && fromAddress.endsWith("." + wanted));
    }

    private boolean list(String throughList) {
        return list.isBlank() || throughList.equalsIgnoreCase(list.strip());
    }

    private boolean words(Candidate message) {
        return words.isEmpty() || pattern().matcher(message.text()).find();
    }

    private Pattern pattern() {
        List<String> quoted = words.stream().map(Pattern::quote).toList();
        return Pattern.compile(
                "(?<![\\p{L}\\p{N}])(?:" + String.join("|", quoted) + ")(?![\\p{L}\\p{N}])",
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }
}
