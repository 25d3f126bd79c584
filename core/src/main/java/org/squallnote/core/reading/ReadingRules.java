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

    /** The forms of all rules about words, in the order of their lists. */
    public static List<PhraseOrigin> ofWords() {
        return Phrases.BOOK.origins();
    }

    /** Those that ask. */
    public static List<PhraseOrigin> ofAsks() {
        return ofWords().stream()
                .filter(phrase -> SentenceAsks.isAsk(phrase.label()))
                .toList();
    }

    /** All ways to ask, by phrases or by shapes, each by its name and an example. */
    public static List<Reason> waysToAsk() {
        return Stream.concat(
                        ofAsks().stream().map(phrase -> new Reason(phrase.name(), phrase.example())),
                        ofShapes().stream())
                .toList();
    }

    /** What sets a day that was named before it: "by then". */
    public static Reason ofDatesNamedBefore() {
        return Deadlines.THEN;
    }

    /** The shapes of sentences that ask without any such phrase. */
    public static List<Reason> ofShapes() {
        return AskShapes.all();
    }
}
