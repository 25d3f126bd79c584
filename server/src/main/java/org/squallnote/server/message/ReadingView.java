package org.squallnote.server.message;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Promise;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.text.Span;

/**
 * What was found in a message, for the page.
 *
 * @param natureWhy why it has its nature, one short clause
 * @param asksWhy why it does or does not ask me, one short clause, empty when there is nothing to say
 * @param corrected whether the user has said so themselves
 * @param party the address or list that a rule would be for
 * @param list whether that is a list
 * @param replyByWhy the deadline that was found and the words it came from, empty when there is none
 * @param marks where things were found in the own words
 * @param subjectMark where a deadline stands in the subject
 */
record ReadingView(
        String natureWhy,
        String asksWhy,
        boolean corrected,
        String party,
        boolean list,
        String replyByWhy,
        List<Mark> marks,
        @Nullable Mark subjectMark) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    /** What was found in a place. */
    enum MarkKind {
        ASK,
        DATE,
        PROMISE,
        HINT
    }

    /**
     * A place in a text.
     *
     * @param from index of its first character, in UTF-16 units
     * @param to index after its last character
     * @param why what was found there, one short clause
     */
    record Mark(int from, int to, MarkKind kind, String why) {}

    static ReadingView of(StoredMessage message, boolean asksMe, Optional<Asks> rule, Reading reading) {
        Marks marks = new Marks(reading.words());
        boolean outgoing = message.direction() == Direction.OUTGOING;
        for (Ask ask : reading.asks()) {
            if (outgoing || ask.ofMe()) {
                marks.add(
                        ask.sentence(),
                        MarkKind.ASK,
                        (outgoing ? "you ask here, " : "asks you, ")
                                + ask.because().inWords());
            }
        }
        reading.replyBy()
                .filter(deadline -> !deadline.inSubject())
                .ifPresent(deadline -> marks.add(deadline.words(), MarkKind.DATE, explained(deadline)));
        for (Promise promise : reading.promises()) {
            if (!promise.forOneself()) {
                String says = outgoing ? "you promise here, " : "a promise, ";
                marks.add(
                        promise.words(),
                        MarkKind.PROMISE,
                        says + promise.because().inWords());
            }
        }
        reading.hintedReplyBy()
                .filter(deadline -> !deadline.inSubject())
                .ifPresent(deadline -> marks.add(deadline.words(), MarkKind.DATE, "perhaps " + explained(deadline)));
        for (Span hint : reading.hints()) {
            marks.add(hint, MarkKind.HINT, "perhaps asks you");
        }
        Mark subject = reading.replyBy()
                .or(reading::hintedReplyBy)
                .filter(Deadline::inSubject)
                .map(deadline -> new Mark(
                        deadline.words().fromInclusive(),
                        deadline.words().toExclusive(),
                        MarkKind.DATE,
                        explained(deadline)))
                .orElse(null);
        return new ReadingView(
                reading.why(),
                asksWhy(message, asksMe, rule, reading),
                message.correction() != null,
                message.party(),
                message.listAddress() != null,
                reading.replyBy()
                        .map(deadline -> replyByWhy(deadline, message, reading))
                        .orElse(""),
                marks.inOrder(),
                subject);
    }

    private static String replyByWhy(Deadline deadline, StoredMessage message, Reading reading) {
        String source =
                deadline.inSubject() ? message.subject() : reading.words().text();
        return written(deadline) + ", since \u201c" + shortened(deadline.words().foldedIn(source)) + "\u201d "
                + deadline.because().inWords();
    }

    /** The day, and a sentence that is read in the same way. */
    private static String explained(Deadline deadline) {
        return written(deadline) + ", " + deadline.because().inWords();
    }

    private static String written(Deadline deadline) {
        String day = deadline.day().format(DAY);
        return day + deadline.time().map(time -> " " + time).orElse("") + (deadline.firm() ? ", firm" : ", flexible");
    }

    private static String asksWhy(StoredMessage message, boolean asksMe, Optional<Asks> rule, Reading reading) {
        if (message.correction() != null) {
            return "you said so";
        }
        if (rule.isPresent()) {
            return (rule.get() == Asks.NEVER
                    ? "you said that " + message.party() + " never asks"
                    : "you said that " + message.party() + " always asks");
        }
        if (reading.nature() == Nature.INVITATION) {
            return "it invites you";
        }
        if (reading.nature() == Nature.BOUNCE) {
            return "it was not delivered and has to go another way";
        }
        Optional<String> words = reading.askOfMe()
                .map(ask -> ask.words().foldedIn(reading.words().text()));
        if (asksMe) {
            return words.map(found -> "\u201c" + shortened(found) + "\u201d").orElse("");
        }
        return reading.asks().isEmpty()
                ? ""
                : "it asks somebody else: \u201c"
                        + shortened(reading.asks()
                                .get(0)
                                .words()
                                .foldedIn(reading.words().text())) + "\u201d";
    }

    private static String shortened(String words) {
        return words.length() > 80 ? words.substring(0, 79) + "\u2026" : words;
    }
}
