package org.squallnote.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LanguageTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            en | Could you send me the load chart? I need it for the crane on Friday.
            de | K\u00f6nnen Sie mir bitte den Lageplan schicken? Wir brauchen ihn f\u00fcr die Kr\u00e4ne am Montag.
            fr | Bonjour, pouvez-vous nous envoyer le plan de la grue pour vendredi ? Merci.
            nl | Kunt u ons het plan van de kraan sturen? Wij hebben het nog niet.
            es | \u00bfPuede enviarnos el plano de la gr\u00faa para el lunes, por favor?
            it | Pu\u00f2 inviarci il piano della gru per luned\u00ec? Grazie, non l'abbiamo con noi.
            """)
    void isKnownByItsSmallWords(String tag, String text) {
        assertThat(Language.of(List.of(text))).map(Language::tag).contains(tag);
    }

    @Test
    void isNotGuessedFromLittle() {
        assertThat(Language.of(List.of("OK", "12/3"))).isEmpty();
        assertThat(Language.of(List.of())).isEmpty();
    }

    @Test
    void readsNoMoreThanItNeeds() {
        assertThat(Language.of(List.of("the and is ".repeat(100_000)))).contains(Language.ENGLISH);
    }
}
