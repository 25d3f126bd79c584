package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is shown of an ask of somebody who is called by name: the ask, without the name before it. */
class CalledByNameTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            @ines Calloway could you open the gate?      | could you open the gate?
            @ines could you open the gate?               | could you open the gate?
            Ines, could you open the gate?               | could you open the gate?
            Hi Ines, could you open the gate?            | could you open the gate?
            Could you open the gate, Ines?               | Could you open the gate, Ines?
            """)
    void standsWithoutTheName(String text, String shown) {
        Reading reading = OtherVoicesTest.READER.read(OtherVoicesTest.message("g", text));
        assertThat(reading.askOfMe().orElseThrow().sentence().in(text)).isEqualTo(shown);
    }
}
