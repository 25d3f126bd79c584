package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.text.Span;

/**
 * A sentence of somebody's own words and what was seen in it, for whoever asks why.
 *
 * @param words where it stands in the text
 * @param phrases which phrases stand in it, also those that came to nothing
 * @param asks what it asks in the end
 */
public record SeenSentence(Span words, List<SeenPhrase> phrases, List<SeenAsk> asks) {

    /** A phrase, as it stands in its list, and the words that it stands for here. */
    public record SeenPhrase(PhraseOrigin origin, Span words) {}

    /** The words that make it an ask, and why they do. */
    public record SeenAsk(Reason because, Span words) {}

    static SeenSentence of(ReadSentence read) {
        return new SeenSentence(
                read.sentence().span(),
                read.acts().stream()
                        .map(act -> new SeenPhrase(
                                act.origin(), read.sentence().spanOf(act.fromInclusive(), act.toExclusive())))
                        .toList(),
                read.asks().stream()
                        .map(ask -> new SeenAsk(ask.because(), ask.words()))
                        .toList());
    }
}
