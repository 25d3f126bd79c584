package org.squallnote.core.chase;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.squallnote.core.turn.Awaited;

/** The draft of a reminder: what was asked and when, what was promised, and a day by which it is wanted. */
public final class ChaseLetter {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.UK);

    /** Longer asks are cut in what is quoted. */
    private static final int LONGEST_ASK = 240;

    /**
     * The words of reminders, with fields: {@code {name}} theirs, {@code {asks}} what is open, {@code {day}} by when it is
     * wanted, {@code {me}} mine.
     *
     * @param first of the first reminder
     * @param second of the second one
     * @param last of every further one
     */
    public record Words(String first, String second, String last) {

        /** Until somebody writes their own. */
        public static final Words USUAL = new Words("""
                Hello {name},

                may I remind you of this?

                {asks}

                A line is enough if it takes longer.

                Kind regards
                {me}""", """
                Hello {name},

                this is still open, and I need it to go on:

                {asks}

                Could you let me have it by {day}? If it takes longer, please tell me until when.

                Kind regards
                {me}""", """
                Hello {name},

                I have asked for this several times, and now depend on your answer:

                {asks}

                Please let me know by {day}, or tell me who else can help.

                Kind regards
                {me}""");

        /** Those for somebody who was reminded so often before. */
        String after(int chases) {
            return chases <= 0 ? first : chases == 1 ? second : last;
        }
    }

    private static final String IDENTITY = "chase.";

    private ChaseLetter() {}

    /** The Message-ID of a reminder begins so: it is known as one wherever it is read again. */
    public static String identity(String rest) {
        return IDENTITY + rest;
    }

    /** Whether a mail of mine is a reminder that was written here. */
    public static boolean isReminder(String messageId) {
        return messageId.startsWith(IDENTITY);
    }

    /**
     * The draft.
     *
     * @param name how they are addressed, such as their given name
     * @param open what they owe me, the oldest first; of several threads in one letter
     * @param wantedBy the day by which it is wanted
     * @param me my name
     */
    public static String draft(
            Words words, String name, List<Awaited> open, LocalDate wantedBy, ZoneId zone, String me) {
        int chases = open.stream().mapToInt(Awaited::chases).max().orElse(0);
        String asks = open.stream().map(one -> ask(one, zone)).collect(Collectors.joining("\n\n"));
        return words.after(chases)
                .replace(name.isEmpty() ? " {name}" : "{name}", name)
                .replace("{asks}", asks)
                .replace("{day}", WEEKDAY.format(wantedBy))
                .replace("{me}", me)
                .strip();
    }

    /** The same in a chat, where it is one line. */
    public static String inChat(String name, List<Awaited> open, ZoneId zone) {
        String asks = open.stream()
                .map(one -> one.what().isBlank()
                        ? "my message of " + DAY.format(one.since().atZone(zone))
                        : "“" + quoted(one.what()) + "” ("
                                + DAY.format(one.since().atZone(zone)) + ")")
                .collect(Collectors.joining(", "));
        return "@" + name + ", is there any news on this? " + asks;
    }

    private static String ask(Awaited one, ZoneId zone) {
        List<String> said = new ArrayList<>();
        String day = DAY.format(one.since().atZone(zone));
        if (one.what().isBlank()) {
            said.add("> my message of " + day);
        } else {
            // Who promised it unasked said it; else it was I who asked.
            boolean theirs = one.promised() && one.lastMine().isEmpty();
            said.add("> on " + day + (theirs ? " you wrote: “" : " I asked: “") + quoted(one.what()) + "”");
        }
        Optional.of(one)
                .filter(Awaited::promised)
                .flatMap(Awaited::by)
                .ifPresent(by -> said.add("> You had hoped to have it by " + DAY.format(by) + "."));
        return String.join("\n", said);
    }

    private static String quoted(String ask) {
        String line = ask.replaceAll("\\s+", " ").strip();
        return line.length() > LONGEST_ASK ? line.substring(0, LONGEST_ASK - 1) + "…" : line;
    }

    /** Their given name, where they are known by name; else nothing that could be wrong. */
    public static String givenName(String name) {
        String first = name.strip().split("[\\s,]+")[0];
        return name.contains("@") || first.isEmpty() ? "" : first;
    }
}
