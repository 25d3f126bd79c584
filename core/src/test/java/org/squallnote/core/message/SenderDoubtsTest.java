package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.SenderDoubts.Known;

class SenderDoubtsTest {

    private static final Known KNOWN = new Known(false, Set.of("merrowquay.example"), Set.of("bo lindgren"));

    private static List<String> doubts(String name, String address, Known known) {
        return SenderDoubts.of(new Party(name, address), List.of(), false, known);
    }

    @Test
    void thereAreNoneAboutSomebodyWhoHasWrittenBefore() {
        assertThat(doubts("Tilda Brandt", "tilda@brandt-cranes.example", KNOWN)).isEmpty();
        assertThat(doubts("Bo Lindgren", "bo@merrowquay.example", KNOWN)).isEmpty();
    }

    @Test
    void aColleaguesNameFromOutsideIsSaid() {
        assertThat(doubts("Bo Lindgren", "bo@elsewhere.example", KNOWN))
                .singleElement()
                .asString()
                .contains("a colleague", "bo@elsewhere.example");
    }

    @Test
    void aNameThatIsAnotherAddressAndFirstContactAreSaid() {
        Known first = new Known(true, Set.of("merrowquay.example"), Set.of());
        assertThat(doubts("bank@real.example", "x@other.example", first))
                .hasSize(2)
                .first()
                .asString()
                .contains("another address than x@other.example");
        assertThat(doubts("Tild\u0430", "x@other.example", KNOWN))
                .first()
                .asString()
                .contains("look alike");
        assertThat(doubts("a\u202eb", "x@other.example", KNOWN))
                .first()
                .asString()
                .contains("direction");
    }

    @Test
    void answersThatGoElsewhereAreSaidExceptThroughLists() {
        Party from = new Party("A", "a@x.example");
        List<Party> elsewhere = List.of(new Party("", "b@y.example"));
        assertThat(SenderDoubts.of(from, elsewhere, false, KNOWN))
                .singleElement()
                .asString()
                .contains("b@y.example");
        assertThat(SenderDoubts.of(from, elsewhere, true, KNOWN)).isEmpty();
        assertThat(SenderDoubts.of(from, List.of(from), false, KNOWN)).isEmpty();
    }
}
