package org.squallnote.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class SignatureLinesTest {

    private static SignatureLines of(String... lines) {
        return SignatureLines.of(List.of(lines), "Tilda Brandt", "tilda@brandt-cranes.example");
    }

    @Test
    void numbersAreKnownWithWhatTheyReach() {
        SignatureLines read = of("Tilda Brandt", "T: 01632 960 123 | Mob +44 (0)7700 900123", "Fax 01632 960124");
        assertThat(read.phones())
                .containsExactly(
                        new Phone("01632 960 123", "work"),
                        new Phone("+44 (0)7700 900123", "mobile"),
                        new Phone("01632 960124", "fax"));
    }

    @Test
    void whatIsNoTelephoneIsNone() {
        assertThat(of("VAT 123 456 789", "Company registration 01632960", "www.x.example/12345678", "Berth 14, 2026")
                        .phones())
                .isEmpty();
    }

    @Test
    void theSameNumberTwiceIsOne() {
        assertThat(of("01632 960 123", "Tel. 01632-960123").phones()).hasSize(1);
    }

    @Test
    void theHouseIsKnownByItsDomainOrItsLegalForm() {
        assertThat(of("Tilda Brandt", "Yard manager, Brandt Cranes", "12 Quay Street")
                        .organisation())
                .isEqualTo("Brandt Cranes");
        assertThat(of("Tilda Brandt").organisation()).as("only her name").isEmpty();
        assertThat(SignatureLines.of(
                                List.of("Bob Hale", "Hale & Sons Ltd", "hale.example"), "Bob Hale", "bob@mail.example")
                        .organisation())
                .isEqualTo("Hale & Sons Ltd");
        assertThat(of("Best wishes", "see you on the quay").organisation()).isEmpty();
    }
}
