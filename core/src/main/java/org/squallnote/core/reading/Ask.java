package org.squallnote.core.reading;

import java.util.Set;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.Span;

/**
 * A sentence in which somebody wants something of somebody.
 *
 * @param sentence where the sentence stands in the text
 * @param words the words that make it an ask
 * @param wanted the words that say what is wanted; empty span at the end of {@code words} when nothing does
 * @param kind how it asks
 * @param asked addresses and chat ids of those it asks, as far as they are known; empty when it is open to all
 * @param ofMe whether it is meant for me
 * @param openToAll whether anybody may answer it, so that the first answer settles it
 * @param named whether those asked are named in the sentence or above it
 * @param because the phrase or shape of a sentence that makes it an ask
 */
public record Ask(
        Span sentence,
        Span words,
        Span wanted,
        Kind kind,
        Set<String> asked,
        boolean ofMe,
        boolean openToAll,
        boolean named,
        Reason because) {

    /** How an ask asks. */
    public enum Kind {
        /** "Which one is it?" */
        QUESTION,
        /** "Could you send …", "please check …", "Send me the list". */
        REQUEST,
        /** "We still need … from you", "waiting for your …". */
        NEED,
        /** "I'd like your picks", "it would be nice to have the figures". */
        WISH,
        /** "If you can sign it off we go to press", "we can't start until you confirm". */
        CONDITION,
        /** "Shall I book it?" */
        OFFER
    }

    /** Copies the addresses. */
    public Ask {
        asked = Set.copyOf(asked);
    }
}
