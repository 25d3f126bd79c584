package org.squallnote.core.reading;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.PhraseBook;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.text.SentenceSplitter;

/** By what a message is read, for whoever wants to look it up. */
public final class ReadingRules {

    private static final int MOST_NEAR = 3;

    private ReadingRules() {}

    /**
     * A form of a rule that would stand in a sentence, were one word another one.
     *
     * @param words where it would stand
     * @param stands the word that it does not take
     * @param wanted how it writes what it takes there
     */
    public record Nearly(PhraseOrigin origin, String words, String stands, String wanted) {}

    /** The forms of rules that nearly stand in a sentence, those first of which the most stands. */
    public static List<Nearly> nearlyIn(String text) {
        PhraseBook book = ReadingLanguage.ENGLISH.phrases();
        return SentenceSplitter.split(text, book).stream()
                .limit(1)
                .flatMap(sentence -> book.nearlyIn(sentence, MOST_NEAR).stream()
                        .map(near -> new Nearly(
                                near.origin(),
                                sentence.spanOf(near.fromInclusive(), near.toExclusive())
                                        .in(text),
                                sentence.at(near.stands()).span().in(text),
                                near.wanted())))
                .toList();
    }

    /** The rules about dates, in the order of their stages. */
    public static List<Rule> ofDates() {
        return Stream.concat(
                        ReadingLanguage.ENGLISH.purposes().rules().stream(),
                        ReadingLanguage.ENGLISH.besides().rules().stream())
                .toList();
    }

    /** How days are named by words. */
    public static List<Rule> ofDays() {
        return ReadingLanguage.ENGLISH.days().rules();
    }

    /** The forms of all rules about words, in the order of their lists. */
    public static List<PhraseOrigin> ofWords() {
        return ReadingLanguage.ENGLISH.phrases().origins();
    }

    /**
     * All ways to ask, by words or by the shape of a sentence, each by its name and the first of its examples.
     *
     * @return by their names, in the order of their list; how many forms each has
     */
    public static Map<Reason, Integer> waysToAsk() {
        Map<String, List<PhraseOrigin>> byRule = ofWords().stream()
                .filter(form -> SentenceAsks.isAsk(form.label()))
                .collect(Collectors.groupingBy(PhraseOrigin::name, LinkedHashMap::new, Collectors.toList()));
        Map<Reason, Integer> ways = new LinkedHashMap<>();
        byRule.forEach((name, forms) -> ways.put(new Reason(name, forms.get(0).example()), forms.size()));
        ofShapes().forEach(shape -> ways.put(shape, 1));
        return ways;
    }

    /** What sets a day that was named before it: "by then". */
    public static Reason ofDatesNamedBefore() {
        return DaysNamedBefore.THEN;
    }

    /** The shapes of sentences that ask without any such phrase. */
    public static List<Reason> ofShapes() {
        return AskShapes.all();
    }
}
