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
 * @param toSomebodyElse whether it is made to a third person ("I'll send it to Tom")
 * @param toNobodyByName whether it names nobody ("will do" in a room)
 * @param forOneself whether it is owed to nobody ("I'll read it on Sunday")
 * @param because the rule that makes it a promise
 */
public record Promise(
        Span words,
        Optional<Deadline> by,
        boolean ofAnAnswer,
        boolean toSomebodyElse,
        boolean toNobodyByName,
        boolean forOneself,
        Reason because) {}
