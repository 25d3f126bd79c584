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

/** Each form of a rule about words is known by its example, and is needed for it. */
class FormExamplesTest {

    private static final String TO_ME_AND_TOM = "mm";

    static Stream<PhraseOrigin> forms() {
        return ReadingRules.ofWords().stream();
    }

    static Stream<Reason> shapes() {
        return ReadingRules.ofShapes().stream();
    }

    /** People read them. */
    @ParameterizedTest
    @MethodSource("forms")
    void anExampleIsAShortSentence(PhraseOrigin form) {
        assertThat(form.example()).matches("[A-Z][^=]*[.?!]").hasSizeLessThan(80);
    }

    @ParameterizedTest
    @MethodSource("forms")
    void aFormIsNeededForItsExample(PhraseOrigin form) {
        Reader without = OtherVoicesTest.reader(new Hearing(ReadingLanguage.ENGLISH, Set.of(form), Set.of()));
        assertThat(read(without, form)).as(form.example()).isNotEqualTo(read(OtherVoicesTest.READER, form));
    }

    @ParameterizedTest
    @MethodSource("shapes")
    void aShapeIsSeenInItsExample(Reason shape) {
        assertThat(asks(OtherVoicesTest.READER, shape.example()).map(SeenSentence.SeenAsk::because))
                .contains(shape);
        assertThat(asks(
                                OtherVoicesTest.reader(
                                        new Hearing(ReadingLanguage.ENGLISH, Set.of(), Set.of(shape.rule()))),
                                shape.example())
                        .map(SeenSentence.SeenAsk::because))
                .doesNotContain(shape);
    }

    private static String read(Reader reader, PhraseOrigin form) {
        Reading reading = reader.read(OtherVoicesTest.message(TO_ME_AND_TOM, form.example()));
        return SentenceAsks.isAsk(form.label()) ? asked(reading) : asked(reading) + " " + besides(reading);
    }

    /** What people see of the asks: which kinds, what is asked first, by when and how strictly. */
    private static String asked(Reading reading) {
        return reading.asks().stream()
                        .map(ask -> ask.kind() + " " + ask.asked().size() + ask.openToAll())
                        .collect(Collectors.toCollection(TreeSet::new))
                + " "
                + reading.askOfMe().map(ask -> ask.kind() + " " + ask.wanted()) + " "
                + reading.replyBy().map(day -> day.end() + " " + day.firm());
    }

    /** What else is told of the writer. */
    private static String besides(Reading reading) {
        return Stream.of(
                        reading.thanksOnly(),
                        reading.acknowledgement(),
                        reading.opensWithThanks(),
                        reading.holding(),
                        reading.promises().stream()
                                .map(promise -> promise.words() + " "
                                        + promise.by().map(Deadline::end) + " " + promise.forOneself())
                                .toList(),
                        reading.withdrawal(),
                        reading.solved(),
                        reading.questionBack(),
                        reading.weight(),
                        reading.takingUp())
                .map(Object::toString)
                .collect(Collectors.joining(" "));
    }

    private static Stream<SeenSentence.SeenAsk> asks(Reader reader, String text) {
        return reader.sentences(OtherVoicesTest.message(TO_ME_AND_TOM, text)).stream()
                .flatMap(sentence -> sentence.asks().stream());
    }
}
