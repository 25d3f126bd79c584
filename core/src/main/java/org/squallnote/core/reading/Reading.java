package org.squallnote.core.reading;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.message.Nature;
import org.squallnote.core.text.Span;

/**
 * What was found in a message, each part with the words that led to it. Spans count UTF-16 units of the text as given.
 *
 * @param nature who is behind it
 * @param why the reason for the nature, one short clause
 * @param words the text cut into own words and what is carried along
 * @param asks every ask in the own words, for whomever
 * @param each where several sentences ask me, each of them with its own deadline; else empty
 * @param asksMe whether one of them is meant for me, or it is an invitation of me
 * @param replyBy the explicit deadline for me
 * @param events dates on which something takes place, named in an ask
 * @param acknowledgement whether the own words only thank or confirm
 * @param opensWithThanks whether it thanks or confirms before anything else
 * @param thanksOnly whether they only thank, or say that something arrived
 * @param holding whether it says that an answer will come
 * @param promises what the writer promises
 * @param inReturn what it promises for something that it asks for
 * @param withdrawal words that take an ask back
 * @param questionBack whether it holds nothing but questions
 * @param solved whether it says that the matter is settled
 * @param weight how pressing it says it is
 * @param hints sentences that look like an ask or a deadline but are none by the rules
 * @param hintedReplyBy a deadline found in a hint
 * @param returnsOn the day on which somebody away says they are back
 * @param failedRecipients the recipients that a bounce names
 * @param takingUp how it takes up what was asked before
 * @param cut whether only the beginning was read, since the text is overlong
 */
@RecordBuilder
public record Reading(
        Nature nature,
        String why,
        OwnWords words,
        List<Ask> asks,
        List<DatedAsk> each,
        boolean asksMe,
        Optional<Deadline> replyBy,
        List<Deadline> events,
        boolean acknowledgement,
        boolean opensWithThanks,
        boolean thanksOnly,
        boolean holding,
        List<Promise> promises,
        Optional<Promise> inReturn,
        Optional<Withdrawal> withdrawal,
        boolean questionBack,
        boolean solved,
        Weight weight,
        List<Span> hints,
        Optional<Deadline> hintedReplyBy,
        Optional<LocalDate> returnsOn,
        List<String> failedRecipients,
        TakingUp takingUp,
        boolean cut) {

    /** Copies the lists. */
    public Reading {
        asks = List.copyOf(asks);
        each = List.copyOf(each);
        events = List.copyOf(events);
        promises = List.copyOf(promises);
        hints = List.copyOf(hints);
        failedRecipients = List.copyOf(failedRecipients);
    }

    /** An ask for me with the deadline that goes with it. */
    public record DatedAsk(Ask ask, Optional<Deadline> replyBy) {}

    /** This reading as if it held one ask only. */
    public Reading only(DatedAsk one) {
        return ReadingBuilder.builder(this)
                .asks(List.of(one.ask()))
                .each(List.of())
                .replyBy(one.replyBy())
                .events(events.stream()
                        .filter(event -> one.ask().sentence().contains(event.words()))
                        .toList())
                .hintedReplyBy(one.replyBy().isPresent() ? Optional.empty() : hintedReplyBy)
                .build();
    }

    /** The first ask that is meant for me. */
    public Optional<Ask> askOfMe() {
        return asks.stream().filter(Ask::ofMe).findFirst();
    }
}
