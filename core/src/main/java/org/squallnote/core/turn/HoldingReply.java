package org.squallnote.core.turn;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** The draft of a word before a promise is broken: what I had promised and when, and a day that I can keep. */
public final class HoldingReply {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.UK);

    private HoldingReply() {}

    /**
     * The draft.
     *
     * @param name how they are addressed, such as their given name; empty where that is not known
     * @param newDay by which I can keep it
     * @param me my name
     */
    public static String draft(String name, Promised promise, LocalDate newDay, ZoneId zone, String me) {
        String wrote = promise.words().isBlank()
                ? "on " + DAY.format(promise.at().atZone(zone)) + " I said that I would see to this."
                : "on " + DAY.format(promise.at().atZone(zone)) + " I wrote: “"
                        + promise.words().replaceAll("\\s+", " ").strip() + "”";
        return "Hello" + (name.isEmpty() ? "" : " " + name) + ",\n\n" + wrote
                + "\n\nIt takes longer than I thought. I will have it for you by " + WEEKDAY.format(newDay)
                + ".\n\nKind regards\n" + me;
    }
}
