package org.squallnote.core.reading;

import java.util.Optional;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.Span;

/**
 * A sentence in which the writer says that they will do something.
 *
 * @param words the sentence
 * @param by when, where it says so
 * @param ofAnAnswer whether it only says that an answer will come ("I'll get back to you on Monday")
 * @param toSomebodyElse whether it is made to a third person ("I'll send it to Tom") or to nobody ("I'll read it on Sunday")
 * @param toNobodyByName whether it names nobody ("will do" in a room), so that it puts an answer off without binding
 * @param because the rule that makes it a promise
 */
public record Promise(
        Span words,
        Optional<Deadline> by,
        boolean ofAnAnswer,
        boolean toSomebodyElse,
        boolean toNobodyByName,
        Reason because) {

    /** Whether its writer says what they will do, and owes it to nobody: "I'll read it on Sunday". */
    public boolean isForOneself() {
        return toSomebodyElse && toNobodyByName;
    }
}
