package org.squallnote.core.reading;

import java.util.List;
import java.util.stream.Stream;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.PhraseOrigin;

/** By what a message is read, for whoever wants to look it up. */
public final class ReadingRules {

    private ReadingRules() {}

    /** The rules about dates, in the order of their stages. */
    public static List<Rule> ofDates() {
        return Stream.concat(DateRoles.rules().rules().stream(), DatedSentences.rules().rules().stream())
                .toList();
    }

    /** The phrases that ask, in the order of their list. */
    public static List<PhraseOrigin> ofAsks() {
        return Phrases.BOOK.origins().stream()
                .filter(phrase -> SentenceAsks.isAsk(phrase.label()))
                .toList();
    }

    /** The shapes of sentences that ask without any such phrase. */
    public static List<Reason> ofShapes() {
        return AskShapes.all();
    }
}
