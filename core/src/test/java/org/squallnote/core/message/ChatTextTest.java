package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChatTextTest {

    private static final List<Party> PEOPLE =
            List.of(new Party("Ines Calloway", "@ines:quay.example"), new Party("Ines", "@i:quay.example"));

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            @Ines Calloway could you come?    | could you come?
            @ines: could you come?            | could you come?
            @room, sizes by Friday            | sizes by Friday
            @tilda who has the key?           | who has the key?
            @Inesita knows                    | knows
            @Ines                             | @Ines
            Morning. @Ines has the key        | Morning. @Ines has the key
            """)
    void beginsBehindTheMention(String text, String shown) {
        assertThat(ChatText.beginning(text, PEOPLE)).isEqualTo(shown);
    }
}
