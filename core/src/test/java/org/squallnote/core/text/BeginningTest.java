package org.squallnote.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class BeginningTest {

    @Test
    void whatFitsStaysAsItIs() {
        assertThat(Beginning.of("Berth 4", 7)).isEqualTo("Berth 4");
        assertThat(Beginning.of("", 7)).isEmpty();
    }

    @Test
    void whatDoesNotFitEndsInAnEllipsisWithinTheRoom() {
        assertThat(Beginning.of("Berth 42", 7)).isEqualTo("Berth …").hasSize(7);
    }

    @Test
    void aCharacterOfTwoPartsIsNotTornApart() {
        assertThat(Beginning.of("Berth\uD83D\uDEA2 and more", 7)).isEqualTo("Berth…");
        assertThat(Beginning.of("Berth\uD83D\uDEA2 and more", 8)).isEqualTo("Berth\uD83D\uDEA2…");
    }

    @Test
    void linesAreJoinedBeforeTheyAreCut() {
        assertThat(Beginning.onOneLine("  Hi Ines,\n\n\tthe crane is back  ", 40))
                .isEqualTo("Hi Ines, the crane is back");
        assertThat(Beginning.onOneLine("a\n\n\nb\n\n\nc", 5)).isEqualTo("a b c");
    }
}
