package org.squallnote.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.squallnote.core.record.Exchange.Kind;
import org.squallnote.core.record.Exchange.Outcome;
import org.squallnote.core.turn.Stories;
import org.squallnote.core.turn.TurnFold;

class ExchangesTest {

    private static TurnFold fold(String... lines) {
        return TurnFold.over(Stories.in(Stream.concat(Stream.of("== a thread | mail"), Stream.of(lines))
                        .toList())
                .get(0)
                .events());
    }

    @Test
    void whatWasAskedOfMeIsAnsweredByMyAnswerAndNotByMyPromise() {
        TurnFold fold = fold(
                "Rosa > me: Hello, could you send me the list?",
                "me > Rosa [re 1]: I will send it tomorrow.",
                "me > Rosa [re 1]: Here is the list.");
        List<Exchange> found = Exchanges.in(fold);
        assertThat(found).hasSize(1);
        Exchange asked = found.get(0);
        assertThat(asked.kind()).isEqualTo(Kind.ASKED_ME);
        assertThat(asked.words()).contains("could you send me the list");
        assertThat(asked.outcome()).isEqualTo(Outcome.ANSWERED);
        assertThat(asked.promise().orElseThrow().in())
                .isEqualTo(fold.events().get(1).messageId());
        assertThat(asked.endedIn()).contains(fold.events().get(2).messageId());
        assertThat(asked.endedAt()).contains(fold.events().get(2).sentAt());
    }

    @Test
    void anotherQuestionIsAnotherExchangeAndStaysOpen() {
        List<Exchange> found = Exchanges.in(fold(
                "Rosa > me: Hello, could you send me the list?",
                "me > Rosa [re 1]: Here is the list.",
                "Rosa > me [re 2]: Thanks. Could you also send me the plan?"));
        assertThat(found).extracting(Exchange::outcome).containsExactly(Outcome.ANSWERED, Outcome.OPEN);
        assertThat(found.get(1).endedAt()).isEmpty();
    }

    @Test
    void eachOfThoseWhomIAskedAnswersForThemselves() {
        TurnFold fold = fold(
                "me > Rosa, Will: Rosa, could you send me the list? Will, could you send me the plan?",
                "Will > me [re 1]: Here is the plan.");
        List<Exchange> found = Exchanges.in(fold);
        assertThat(found).hasSize(2).allMatch(each -> each.kind() == Kind.ASKED_BY_ME);
        assertThat(found)
                .filteredOn(each -> each.other().name().equals("Will"))
                .singleElement()
                .matches(each -> each.outcome() == Outcome.ANSWERED);
        assertThat(found)
                .filteredOn(each -> each.other().name().equals("Rosa"))
                .singleElement()
                .matches(each -> each.outcome() == Outcome.OPEN);
    }

    @Test
    void whatIsTakenBackWasNotAnswered() {
        List<Exchange> found = Exchanges.in(fold(
                "Rosa > me: Hello, could you send me the list?",
                "Rosa > me [re 1]: Never mind, I have found it. You don't need to send it any more."));
        assertThat(found).extracting(Exchange::outcome).containsExactly(Outcome.WITHDRAWN);
    }

    @Test
    void aQuestionBackLeavesItOpen() {
        List<Exchange> found = Exchanges.in(
                fold("Rosa > me: Hello, could you send me the list?", "me > Rosa [re 1]: Which one do you need?"));
        assertThat(found)
                .extracting(Exchange::kind, Exchange::outcome)
                .containsExactlyInAnyOrder(tuple(Kind.ASKED_ME, Outcome.OPEN), tuple(Kind.ASKED_BY_ME, Outcome.OPEN));
    }

    @Test
    void whatIsOpenAtTheEndIsWhatTheFoldSaysIsOwed() {
        for (String answer : List.of("Will do.", "Here you are.", "Thanks!", "Which one?")) {
            TurnFold fold = fold("Rosa > me: Hello, could you send me the list?", "me > Rosa [re 1]: " + answer);
            assertThat(Exchanges.in(fold).stream()
                            .filter(each -> each.mine() && each.outcome() == Outcome.OPEN)
                            .count())
                    .as(answer)
                    .isEqualTo(
                            fold.state().debts().size() + fold.state().paused().size());
        }
    }
}
