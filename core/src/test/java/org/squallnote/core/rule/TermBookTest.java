package org.squallnote.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;

class TermBookTest {

    private static final Kinds COLOURS = (kind, place) -> kind.equals("colour") ? place + 1 : -1;

    private static TermBook book(String... lines) {
        return TermBook.of(List.of(lines));
    }

    private static Optional<Term> at(TermBook book, String text, int place) {
        Sentence sentence = SentenceSplitter.split(text).get(0);
        return book.at("things", sentence, place, COLOURS);
    }

    @Test
    void theFirstRuleThatStandsThereDecides() {
        TermBook book = book(
                "group things: in order",
                "rule boat.long",
                "takes [the] long boat",
                "gives long",
                "yes the long boat",
                "rule boat.any",
                "takes the|a [*] boat",
                "gives any",
                "yes a red boat");
        assertThat(at(book, "take the long boat", 1).map(term -> term.rule().id()))
                .contains("boat.long");
        assertThat(at(book, "take the red boat", 1).map(term -> term.rule().id()))
                .contains("boat.any");
        assertThat(at(book.without("boat.long"), "take the long boat", 1)
                        .map(term -> term.rule().id()))
                .contains("boat.any");
        assertThat(at(book, "take the long way", 1)).isEmpty();
    }

    @Test
    void tellsWhereItEndsAndWhereItsKindsBegin() {
        TermBook book = book("group things: in order", "rule boat.of", "takes the {colour} boat", "gives x", "yes x");
        Term term = at(book, "take the red boat home", 1).orElseThrow();
        assertThat(term.to()).isEqualTo(4);
        assertThat(term.kinds()).isEqualTo(Map.of("colour", 2));
    }

    @Test
    void whatStandsAroundItIsLookedAtAndNotTaken() {
        TermBook book =
                book("group things: in order", "rule boat.sold", "takes sold > the boat < today", "gives x", "yes x");
        assertThat(at(book, "we sold the boat today", 2).map(Term::to)).contains(4);
        assertThat(at(book, "we bought the boat today", 2)).isEmpty();
        assertThat(at(book, "we sold the boat then", 2)).isEmpty();
    }

    @Test
    void beginsWithListedWordsSoThatMostWordsArePassedOver() {
        assertThatIllegalStateException()
                .isThrownBy(
                        () -> book("group things: in order", "rule boat.of", "takes {colour} boat", "gives x", "yes x"))
                .withMessageContaining("{colour} boat");
        assertThatIllegalStateException().isThrownBy(() -> book("takes a boat")).withMessageContaining("no rule");
    }

    @ParameterizedTest
    @ValueSource(strings = {"takes the .. boat", "takes ^ boat", "takes {colour} > boat", "takes >"})
    void whatCannotStandInIt(String takes) {
        assertThatIllegalStateException()
                .isThrownBy(() -> book("group things: in order", "rule boat.of", takes, "gives x", "yes x"))
                .withMessageContaining("names nothing");
    }

    @Test
    void knowsNoOtherWayAndNoExceptions() {
        assertThatIllegalStateException()
                .isThrownBy(() -> book("group things: nearest before"))
                .withMessageContaining("in order");
        assertThatIllegalStateException()
                .isThrownBy(() -> book(
                        "group things: in order", "rule boat.of", "takes a boat", "not my boat", "gives x", "yes x"))
                .withMessageContaining("boat.of");
    }
}
