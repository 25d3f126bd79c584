package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShownNameTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Tilda Brandt | tilda@x.example | Tilda Brandt",
                "bank@real.example | a@other.example | a@other.example",
                "\"Bo (bo@merrowquay.example)\" | a@other.example | a@other.example",
                "A@X.example | a@x.example | A@X.example",
                "Tild\u0430 Brandt | t@x.example | t@x.example",
                "\u0418\u0432\u0430\u043d Petrov | i@x.example | \u0418\u0432\u0430\u043d Petrov",
                "Ren\u00e9e M\u00fcller-\u0141ukasz | r@x.example | Ren\u00e9e M\u00fcller-\u0141ukasz",
                "evil\u202Egpj.exe | e@x.example | evil\u2039RLO\u203agpj.exe",
                "'' | n@x.example | n@x.example",
            })
    void aNameIsShownAsWhatItIs(String name, String address, String shown) {
        assertThat(new Party(name, address).displayName()).isEqualTo(shown);
    }

    @Test
    void whatIsShownKeepsTheAddress() {
        Party shown = new Party("bank@real.example", "a@other.example").shown();
        assertThat(shown).isEqualTo(new Party("", "a@other.example"));
        Party plain = new Party("Tilda", "t@x.example");
        assertThat(plain.shown()).isSameAs(plain);
    }
}
