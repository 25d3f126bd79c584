package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import org.squallnote.core.text.Span;

/**
 * A sentence of somebody's own words and what was seen in it, for whoever asks why.
 *
 * @param words where it stands in the text
 * @param phrases which phrases stand in it, also those that came to nothing
 * @param asks what it asks in the end, each by the words that make it an ask
 */
public record SeenSentence(Span words, List<SeenPhrase> phrases, List<SeenPhrase> asks) {

    /**
     * Words of a sentence and what they are taken for.
     *
     * @param label what for: {@code request}, {@code promise}, {@code reported}
     * @param written the phrase, as it stands in its list; empty where no list has it
     */
    public record SeenPhrase(String label, String written, Span words) {}

    static SeenSentence of(ReadSentence read) {
        return new SeenSentence(
                read.sentence().span(),
                read.acts().stream()
                        .map(act -> new SeenPhrase(
                                act.label(),
                                act.written(),
                                read.sentence().spanOf(act.fromInclusive(), act.toExclusive())))
                        .toList(),
                read.found().stream()
                        .map(ask -> new SeenPhrase(
                                ask.kind().name().toLowerCase(Locale.ROOT),
                                "",
                                read.sentence().spanOf(ask.from(), Math.max(ask.from() + 1, ask.to()))))
                        .toList());
    }
}
