package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.text.PhraseOrigin;

/** What an ask is after decides what its answer means. */
class WantedTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Could you send me the berth plan?",
                "Please bring the long rope",
                "I need the list by Friday",
                "can u lock the gate",
                "What do you think of the draft?",
                "When can I have it?",
                "Would you mind moving the boat?",
            })
    void somethingIsToBeDone(String ask) {
        assertThat(Wanted.isToBeDone(ask)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "When does the ferry leave?",
                "When do we get the new buoys?",
                "Could you tell me when the crane comes?",
                "Please let me know whether Friday suits you",
                "Is the slipway free?",
                "Would you mind if we came a day later?",
            })
    void somethingIsToBeKnown(String ask) {
        assertThat(Wanted.isToBeDone(ask)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "How do I open it?",
                "What can we do?",
                "Which of the two valves should I close?",
                "Shall we keep berth 7 for the dredger?",
                "The scanner shows error 31, so should I switch it off?",
                "Tell me what to do",
            })
    void somebodyWantsToBeToldWhatToDo(String ask) {
        assertThat(Wanted.asksWhatToDo(ask)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Could you close the valve?", "When does the shop close?", "What does it cost?", ""})
    void somebodyWantsSomethingElse(String ask) {
        assertThat(Wanted.asksWhatToDo(ask)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Hold the green button for ten seconds", "Close the left valve first", "Keep it."})
    void anInstructionWantsNothingBack(String words) {
        assertThat(Wanted.isInstruction(words)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Send us the invoice of the glazier",
                "Let me know the serial number",
                "Is the light red?",
                "Fill in the form and return it by Friday",
                "Could you hold the green button?",
            })
    void anInstructionThatWantsSomethingBackIsAnAsk(String words) {
        assertThat(Wanted.isInstruction(words)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"I'll tell the band.", "We'll inform them on Monday", "I’ll remind everyone"})
    void whatOthersAreToldIsForThem(String promise) {
        assertThat(Wanted.isToldToOthers(promise)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"I'll tell my boss and send you the plan on Monday", "I'll tell you", "I'll send it", ""})
    void thereIsSomethingForMe(String promise) {
        assertThat(Wanted.isToldToOthers(promise)).isFalse();
    }

    static Stream<PhraseOrigin> forms() {
        return Wanted.RULES.origins().stream();
    }

    @ParameterizedTest
    @MethodSource("forms")
    void aFormIsNeededForItsExample(PhraseOrigin form) {
        assertThat(Wanted.in(form.example(), any -> true).has(form.label())).isTrue();
        assertThat(Wanted.in(form.example(), match -> !match.origin().equals(form))
                        .has(form.label()))
                .as("without it")
                .isFalse();
    }
}
