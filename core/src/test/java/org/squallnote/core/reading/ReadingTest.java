package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingTest {

    @Test
    void ownWordsLeaveOutWhatIsCarriedAlong() {
        OwnWords words = OwnWords.of("""
                Thursday works.

                On Tue, 10 Mar 2026 at 09:12, Ines Calloway
                <ines@merrowquay.example> wrote:
                > Which day suits you?
                And the invoice follows.

                --
                Tilda
                """);

        assertThat(words.own()).isEqualTo("Thursday works.\n\nAnd the invoice follows.");
        assertThat(words.carried()).contains("Which day suits you?", "wrote:", "Tilda");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Hello Ines. Could you send me the berth plan? Thanks",
                "Please send the list by Friday.",
                "And the invoice?",
                "We need the certificate from you."
            })
    void anAskIsFound(String text) {
        assertThat(AskFinder.firstIn(text)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "How are you?", "Please note that the slipway is closed.", "Please find the plan attached.",
                "Let me know if you have any questions.", "The crane comes on Monday.", ""
            })
    void courtesyIsNoAsk(String text) {
        assertThat(AskFinder.firstIn(text)).isEmpty();
    }

    @Test
    void aHugeTextIsReadInPart() {
        assertThat(AskFinder.sentences("a b. ".repeat(1_000_000))).hasSizeLessThan(AskFinder.LONGEST_TEXT);
    }
}
