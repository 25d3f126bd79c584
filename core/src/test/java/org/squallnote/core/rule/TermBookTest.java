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
    void mayBeginWithAKindAndLeaveOneOut() {
        TermBook book =
                book("group things: in order", "rule boat.of", "takes {colour} [{size}] boat", "gives x", "yes x");
        Kinds kinds = (kind, place) -> place == (kind.equals("colour") ? 0 : 1) ? place + 1 : -1;
        Sentence big = SentenceSplitter.split("red big boat").get(0);
        assertThat(book.at("things", big, 0, kinds).map(Term::kinds)).contains(Map.of("colour", 0, "size", 1));
        Sentence plain = SentenceSplitter.split("red boat").get(0);
        assertThat(book.at("things", plain, 0, kinds).map(Term::kinds)).contains(Map.of("colour", 0));
        assertThat(book.at("things", plain, 1, kinds)).isEmpty();
    }

    @Test
    void aKindBeforeItIsLookedAtAndNotTaken() {
        TermBook book = book("group things: in order", "rule boat.of", "takes {colour} > boat", "gives x", "yes x");
        assertThat(at(book, "red boat", 1).map(Term::from)).contains(1);
        assertThat(book.at("things", SentenceSplitter.split("boat").get(0), 0, (kind, place) -> -1))
                .isEmpty();
    }

    @Test
    void aRuleHasExceptions() {
        TermBook book = book(
                "group things: in order", "rule boat.of", "takes the boat", "not sold > the boat", "gives x", "yes x");
        assertThat(at(book, "we saw the boat", 2)).isPresent();
        assertThat(at(book, "we sold the boat", 2)).isEmpty();
    }

    @Test
    void aRuleThatMeansNothingIsPassedOver() {
        TermBook book = book(
                "group things: in order",
                "rule boat.long",
                "takes the long boat",
                "gives long",
                "yes the long boat",
                "rule boat.any",
                "takes the * boat",
                "gives any",
                "yes the boat");
        Sentence sentence = SentenceSplitter.split("the long boat").get(0);
        assertThat(book.at(
                        "things",
                        sentence,
                        0,
                        COLOURS,
                        term -> Optional.of(term.rule().gives()).filter("any"::equals)))
                .contains("any");
    }

    @Test
    void tellsWhatWordsStandForAndWhichBelongToAClass() {
        TermBook book = book("values leg: ant=6 crab=10", "values leg: owl=2", "words sea: crab");
        assertThat(book.values("leg")).isEqualTo(Map.of("ant", 6, "crab", 10, "owl", 2));
        assertThat(book.values("wing")).isEmpty();
        assertThat(book.words("sea")).containsExactly("crab");
        assertThat(book.words("land")).isEmpty();
        assertThatIllegalStateException()
                .isThrownBy(() -> book("values leg: ant"))
                .withMessageContaining("ant");
    }

    @Test
    void aLineBehindNoRuleIsRefused() {
        assertThatIllegalStateException().isThrownBy(() -> book("takes a boat")).withMessageContaining("no rule");
    }

    @ParameterizedTest
    @ValueSource(strings = {"takes the .. boat", "takes ^ boat", "takes >"})
    void whatCannotStandInIt(String takes) {
        assertThatIllegalStateException()
                .isThrownBy(() -> book("group things: in order", "rule boat.of", takes, "gives x", "yes x"))
                .withMessageContaining("names nothing");
    }

    @Test
    void knowsNoOtherWayAndNoConditions() {
        assertThatIllegalStateException()
                .isThrownBy(() -> book("group things: nearest before"))
                .withMessageContaining("in order");
        assertThatIllegalStateException()
                .isThrownBy(() -> book(
                        "group things: in order", "rule boat.of", "takes a boat", "when question", "gives x", "yes x"))
                .withMessageContaining("boat.of");
    }
}
