package org.squallnote.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A book of another language: what finds words knows none itself. */
class PhraseBookTest {

    private static final String FOLDER = "/org/squallnote/core/reading/german/";
    private static final PhraseBook GERMAN = PhraseBook.of(
            PhraseBookTest.class,
            FOLDER + "words.txt",
            FOLDER + "asks.rules",
            FOLDER + "no-asks.rules",
            FOLDER + "acts.rules");

    static Stream<PhraseOrigin> forms() {
        return GERMAN.origins().stream();
    }

    private static List<PhraseMatch> found(String text) {
        return SentenceSplitter.split(text, GERMAN).stream()
                .flatMap(sentence -> GERMAN.in(sentence).stream())
                .toList();
    }

    @ParameterizedTest
    @MethodSource("forms")
    void aFormIsFoundInItsExample(PhraseOrigin form) {
        assertThat(found(form.example()).stream().map(PhraseMatch::origin)).contains(form);
    }

    @Test
    void aMatchSaysWhereItStandsAndWhatIsWanted() {
        Sentence sentence = SentenceSplitter.split("Tom, kannst du mir die Liste schicken?", GERMAN)
                .get(0);
        PhraseMatch match = GERMAN.in(sentence).get(0);
        assertThat(match.label()).isEqualTo("request");
        assertThat(match.fromInclusive()).isEqualTo(1);
        assertThat(match.toExclusive()).isEqualTo(3);
        assertThat(sentence.norm(match.wantedAt())).isEqualTo("mir");
    }

    @Test
    void whatIsNotThereIsNotFound() {
        assertThat(found("Die Liste liegt auf dem Tisch.")).isEmpty();
        // "soll ich" asks only where a part of the sentence begins.
        assertThat(found("Tom sagt, was soll ich tun.")).isEmpty();
    }

    @Test
    void whatNearlyStandsThereSaysWhichWordKeptIt() {
        Sentence sentence =
                SentenceSplitter.split("Ich brauche noch eure Antwort.", GERMAN).get(0);
        NearMatch near = GERMAN.nearlyIn(sentence, 3).get(0);
        assertThat(near.origin().name()).isEqualTo("need.brauche");
        assertThat(sentence.norm(near.stands())).isEqualTo("eure");
        assertThat(near.wanted()).startsWith("dein|deine");
        assertThat(GERMAN.nearlyIn(
                        SentenceSplitter.split("Ich brauche noch deine Antwort.", GERMAN)
                                .get(0),
                        3))
                .extracting(match -> match.origin().name())
                .doesNotContain("need.brauche");
    }

    /** What is written wrong is refused when the book is read, not when a sentence is. */
    @Test
    void wrongLinesAreRefused() {
        assertThatThrownBy(() -> PhraseBook.of(List.of("rule request.bitte", "yes Bitte.")))
                .hasMessageContaining("belongs to no form");
        assertThatThrownBy(() -> PhraseBook.of(List.of("takes bitte >", "yes Bitte.")))
                .hasMessageContaining("belongs to no form");
        assertThatThrownBy(() -> PhraseBook.of(List.of("rule request.bitte", "rule request.bitte")))
                .hasMessageContaining("Two rules are called request.bitte");
        assertThatThrownBy(() -> PhraseBook.of(List.of("rule request.bitte", "takes <wer> bitte", "yes Bitte.")))
                .hasMessageContaining("<wer>");
        assertThatThrownBy(() -> PhraseBook.of(List.of("rule request.bitte", "takes * bitte", "yes Bitte.")))
                .hasMessageContaining("has to begin with a word");
        assertThatThrownBy(() -> PhraseBook.of(List.of("rule request.bitte", "takes bitte >")))
                .hasMessageContaining("has no example");
        assertThatThrownBy(() -> PhraseBook.of(List.of("nonsense")))
                .hasMessageContaining("No list of phrases has such a line");
    }
}
