package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.PhraseOrigin;

/** Each way to ask is known by its example, and is needed for it. */
class AskExamplesTest {

    private static final String TO_ME_AND_TOM = "mm";

    static Stream<PhraseOrigin> phrases() {
        return ReadingRules.ofAsks().stream();
    }

    static Stream<Reason> shapes() {
        return ReadingRules.ofShapes().stream();
    }

    /** People read them. */
    @ParameterizedTest
    @MethodSource("phrases")
    void anExampleIsAShortSentence(PhraseOrigin phrase) {
        assertThat(phrase.example()).matches("[A-Z][^=]*[.?!]").hasSizeLessThan(80);
    }

    @ParameterizedTest
    @MethodSource("phrases")
    void aPhraseIsNeededForItsExample(PhraseOrigin phrase) {
        Reader without = OtherVoicesTest.reader(new Hearing(Set.of(phrase.name()), Set.of()));
        assertThat(read(without, phrase.example()))
                .as(phrase.example())
                .isNotEqualTo(read(OtherVoicesTest.READER, phrase.example()));
        assertThat(phrases().filter(each -> each.name().equals(phrase.name()))).hasSize(1);
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void aShapeIsSeenInItsExample(Reason shape) {
        assertThat(asks(OtherVoicesTest.READER, shape.example()).map(SeenSentence.SeenAsk::because))
                .contains(shape);
        assertThat(asks(OtherVoicesTest.reader(new Hearing(Set.of(), Set.of(shape.rule()))), shape.example())
                        .map(SeenSentence.SeenAsk::because))
                .doesNotContain(shape);
    }

    /** What people see of a message: which kinds of asks, what is asked first, by when and how strictly. */
    private static String read(Reader reader, String text) {
        Reading reading = reader.read(OtherVoicesTest.message(TO_ME_AND_TOM, text));
        return reading.asks().stream().map(Ask::kind).collect(Collectors.toCollection(TreeSet::new)) + " "
                + reading.askOfMe().map(ask -> ask.kind() + " " + ask.wanted()) + " "
                + reading.replyBy().map(day -> day.end() + " " + day.firm());
    }

    private static Stream<SeenSentence.SeenAsk> asks(Reader reader, String text) {
        return reader.sentences(OtherVoicesTest.message(TO_ME_AND_TOM, text)).stream()
                .flatMap(sentence -> sentence.asks().stream());
    }
}
