package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.turn.AnswerWord.Kind;

/** What is said by hand of messages that counted as answers. */
class AnswerWordsTest {

    private static List<TurnEvent> told(String... lines) {
        List<String> story = new ArrayList<>(List.of("== told | mail"));
        story.addAll(List.of(lines));
        return Stories.in(story).get(0).events();
    }

    private static final List<TurnEvent> QUOTE = told(
            "me > Will: Could you send me the quote and the load chart?",
            "Will > me [re 1]: The quote is attached.",
            "Will > me [re 2]: And the chart is attached.");

    private static AnswerWord on(TurnEvent event, Kind kind, String missing) {
        return new AnswerWord(event.messageId(), kind, missing);
    }

    private static TurnState after(int messages, AnswerWord... words) {
        return TurnFold.over(QUOTE.subList(0, messages), List.of(words)).state();
    }

    @Test
    void anAnswerIsKnownWithTheAsk() {
        assertThat(after(2).awaited()).isEmpty();
        assertThat(after(2).given()).singleElement().satisfies(given -> {
            assertThat(given.party().name()).isEqualTo("Will");
            assertThat(given.ask()).isEqualTo(QUOTE.get(0).messageId());
            assertThat(given.answer()).isEqualTo(QUOTE.get(1).messageId());
            assertThat(given.what()).contains("quote");
        });
    }

    @Test
    void whatIsNoAnswerLeavesItsWriterAwaited() {
        TurnState state = after(2, on(QUOTE.get(1), Kind.NO_ANSWER, ""));
        assertThat(state.awaited())
                .singleElement()
                .extracting(Awaited::since)
                .isEqualTo(QUOTE.get(0).sentAt());
        assertThat(state.given()).isEmpty();
        assertThat(state.answered()).as("it says nothing of how long they take").isEmpty();
        assertThat(after(3, on(QUOTE.get(1), Kind.NO_ANSWER, "")).awaited())
                .as("a later answer counts")
                .isEmpty();
    }

    @Test
    void aPartLeavesTheRestOwed() {
        TurnState state = after(2, on(QUOTE.get(1), Kind.PARTLY, " the load chart "));
        assertThat(state.awaited()).singleElement().satisfies(one -> {
            assertThat(one.what()).isEqualTo("the load chart");
            assertThat(one.since()).isEqualTo(QUOTE.get(0).sentAt());
        });
        assertThat(after(2, on(QUOTE.get(1), Kind.PARTLY, "")).awaited())
                .singleElement()
                .extracting(Awaited::what)
                .asString()
                .contains("quote");
    }

    @Test
    void whatElseTheMessageSaysStillCounts() {
        List<TurnEvent> events = told(
                "me > Will: Could you send me the quote?",
                "Will > me [re 1]: I have forwarded it. Could you send me the order number of last year?");
        TurnState state = TurnFold.over(events, List.of(on(events.get(1), Kind.NO_ANSWER, "")))
                .state();
        assertThat(state.iOwe()).isTrue();
        assertThat(state.awaited()).hasSize(1);
    }

    @Test
    void theOrderOfArrivalDoesNotMatter() {
        List<AnswerWord> words = List.of(on(QUOTE.get(1), Kind.PARTLY, "the load chart"));
        TurnState expected = TurnFold.over(QUOTE, words).state();
        Random random = new Random(5);
        for (int i = 0; i < 20; i++) {
            List<TurnEvent> shuffled = new ArrayList<>(QUOTE);
            Collections.shuffle(shuffled, random);
            TurnFold fold = new TurnFold(words);
            shuffled.forEach(fold::add);
            assertThat(fold.state()).isEqualTo(expected);
        }
    }

    @Test
    void wordsAreBounded() {
        assertThatThrownBy(() -> on(QUOTE.get(1), Kind.PARTLY, "x".repeat(2_001)))
                .hasMessageContaining("fewer words");
    }

    @Test
    void aKindIsABareAcknowledgementOrTheSameWordsWithOtherNumbers() {
        Facts plain = QUOTE.get(1).facts();
        AnswerPattern desk = AnswerPattern.of(plain, "We have registered your request no. 4711/26 as [T-12].");
        assertThat(desk.fits(plain, "We have registered your request no. 9/27 as [T-4]."))
                .isTrue();
        assertThat(desk.fits(plain, "We have rejected your request no. 9/27.")).isFalse();
        Facts thanks = told("Will > me: Thanks!").get(0).facts();
        assertThat(AnswerPattern.of(thanks, "Thanks!")).isEqualTo(AnswerPattern.BARE);
        assertThat(AnswerPattern.BARE.fits(thanks, "Many thanks")).isTrue();
        assertThat(AnswerPattern.BARE.fits(plain, "The quote is attached.")).isFalse();
    }

    @Test
    void myWordIsKnownWithItsSentence() {
        List<TurnEvent> events =
                told("Will > me: Could you send me the berth list?", "me > Will [re 1]: I'll send it on Friday.");
        TurnState state = TurnFold.over(events).state();
        assertThat(state.debts()).singleElement().satisfies(debt -> {
            assertThat(debt.reason()).isEqualTo(Debt.Reason.ASKED);
            assertThat(debt.promise()).hasValueSatisfying(promise -> {
                assertThat(promise.in()).isEqualTo(events.get(1).messageId());
                assertThat(promise.words()).contains("send it on Friday");
            });
        });
    }

    @Test
    void theLastWordProposesToClose() {
        assertThat(TurnFold.over(QUOTE).closingWord()).isEmpty();
        List<TurnEvent> thanked = told(
                "me > Will: Could you send me the quote?",
                "Will > me [re 1]: Here it is.",
                "me > Will [re 2]: Thanks, that's all I need.");
        assertThat(TurnFold.over(thanked).closingWord()).contains(thanked.get(2));
    }
}
