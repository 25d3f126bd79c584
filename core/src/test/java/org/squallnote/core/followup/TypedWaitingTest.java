package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.message.Party;

class TypedWaitingTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 9);
    private static final List<Party> KNOWN =
            List.of(new Party("Bob Hale", "bob@hale.example"), new Party("Tilda Brandt", "tilda@brandt.example"));

    private static Optional<TypedWaiting.Typed> read(String typed) {
        return TypedWaiting.read(
                typed, KNOWN, words -> words.equalsIgnoreCase("monday") ? Optional.of(MONDAY) : Optional.empty());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            until Bob has answered, at the latest Monday | bob@hale.example | false | 2026-03-09
            bob                                          | bob@hale.example | false |
            wait for brandt                              | tilda@brandt.example | false |
            until Tilda writes latest monday             | tilda@brandt.example | false | 2026-03-09
            until Monday                                 | | false | 2026-03-09
            Monday                                       | | false | 2026-03-09
            until somebody answers                       | | true |
            an answer, at the latest monday              | | true | 2026-03-09
            the thread or monday                         | | true | 2026-03-09
            gus@quay.example                             | gus@quay.example | false |
            """)
    void saysForWhomAndUntilWhen(String typed, String address, boolean thread, LocalDate until) {
        assertThat(read(typed)).hasValueSatisfying(said -> {
            assertThat(said.person().map(Party::address).orElse(null)).isEqualTo(address);
            assertThat(said.thread()).isEqualTo(thread);
            assertThat(said.until().orElse(null)).isEqualTo(until);
        });
    }

    @Test
    void whoIsNotKnownIsTakenByName() {
        assertThat(read("until Marisol Vance writes").orElseThrow().person()).contains(new Party("Marisol Vance", ""));
    }

    @Test
    void nothingAndTooMuchSayNothing() {
        assertThat(read("  ")).isEmpty();
        assertThat(read("x".repeat(121))).isEmpty();
    }
}
