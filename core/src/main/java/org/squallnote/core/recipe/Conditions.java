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

    /** Whether everything that is given holds. */
    public boolean hold(Candidate message) {
        return sender(message)
                && domain(message)
                && (list.isBlank() || message.list().equalsIgnoreCase(list.strip()))
                && (room.isBlank() || message.room().equals(room.strip()))
                && (nature == null || nature == message.nature())
                && (addressed == null || (addressed == Addressed.TO ? message.to() : message.cc()))
                && (files == null || files == message.files())
                && (asksMe == null || asksMe == message.asksMe())
                && words(message);
    }

    private boolean sender(Candidate message) {
        String wanted = sender.strip().toLowerCase(Locale.ROOT);
        return wanted.isEmpty()
                || message.fromAddress().contains(wanted)
                || message.fromName().toLowerCase(Locale.ROOT).contains(wanted);
    }

    private boolean domain(Candidate message) {
        String wanted = domain.strip().toLowerCase(Locale.ROOT).replaceFirst("^@", "");
        return wanted.isEmpty()
                || message.fromAddress().endsWith("@" + wanted)
                || (message.fromAddress().contains("@") && message.fromAddress().endsWith("." + wanted));
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
