package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.message.Party;

class PromiseTitleTest {

    private static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt.example");

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            I'll send it on Friday.                      | Send it (for Tilda)
            I will look at the crane tomorrow morning    | Look at the crane (for Tilda)
            Sure, I'll bring the plan by the 9th         | Bring the plan (for Tilda)
            we shall mend the pontoon next week          | Mend the pontoon (for Tilda)
            The rest follows on Thursday                 | The rest follows (for Tilda)
            """)
    void beginsWithWhatWasPromised(String words, String title) {
        assertThat(PromiseTitle.of(words, "", TILDA)).isEqualTo(title);
    }

    @Test
    void namesTheAskWhereThePromiseWasNoMoreThanYes() {
        assertThat(PromiseTitle.of("", "Could you send the plan?", TILDA))
                .isEqualTo("Keep my word to Tilda: “Could you send the plan?”");
        assertThat(PromiseTitle.of("I'll", "", TILDA)).isNotBlank();
    }

    @Test
    void isShortAndLinearInWhatWasWritten() {
        assertThat(PromiseTitle.of("I will " + "move the boats and ".repeat(2_000), "", TILDA))
                .hasSizeLessThan(110);
        assertThat(PromiseTitle.of("sure ".repeat(20_000), "", TILDA)).hasSizeLessThan(110);
    }
}
