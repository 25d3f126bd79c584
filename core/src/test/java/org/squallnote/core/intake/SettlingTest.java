package org.squallnote.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.squallnote.core.message.Messages.INES;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;
import static org.squallnote.core.message.Messages.fromList;
import static org.squallnote.core.message.Messages.mail;
import static org.squallnote.core.message.Messages.message;
import static org.squallnote.core.message.Messages.mine;
import static org.squallnote.core.message.Messages.row;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.Debts;
import org.squallnote.core.turn.TurnState;
import org.squallnote.core.turn.TurnStateBuilder;

class SettlingTest {

    private static final Party BO = new Party("Bo", "bo@merrowquay.example");

    private final StoredMessage asked = mail("Crane");

    @Test
    void aLaterAnswerOfMineToItsWriterAnswersAMessage() {
        assertThat(Settling.isAnswered(row(asked), List.of(row(asked), row(mine(TILDA, MONDAY.plusSeconds(60))))))
                .isTrue();
    }

    @Test
    void neitherAnEarlierOneNorOneToSomebodyElseNorSomebodyElsesAnswersIt() {
        StoredMessage bos =
                message(Channel.MAIL, Direction.INCOMING, BO, List.of(TILDA), "Crane", MONDAY.plusSeconds(60), null);
        assertThat(Settling.isAnswered(
                        row(asked),
                        List.of(
                                row(mine(TILDA, MONDAY.minusSeconds(60))),
                                row(mine(BO, MONDAY.plusSeconds(60))),
                                row(bos))))
                .isFalse();
    }

    @Test
    void anAnswerSettlesWhatItsReceiversWrote() {
        StoredMessage bos = message(Channel.MAIL, Direction.INCOMING, BO, List.of(INES), "Crane", MONDAY, null);
        StoredMessage answer = mine(TILDA, MONDAY.plus(Duration.ofHours(1)));
        assertThat(Settling.settledBy(answer, List.of(asked, bos), TurnState.START))
                .containsExactly(asked);
    }

    @Test
    void whatIOnlyPromisedStays() {
        Debt debt = Debts.asked(TILDA, asked.id(), MONDAY, Optional.empty());
        TurnState owing =
                TurnStateBuilder.builder(TurnState.START).debts(List.of(debt)).build();
        assertThat(Settling.settledBy(mine(TILDA, MONDAY.plusSeconds(60)), List.of(asked), owing))
                .isEmpty();
    }

    @Test
    void rulesLetPastWhatIsFromAPartyOrHasASubjectLikeAnother() {
        PastIntake past = new PastIntake(List.of(
                new PartyRule("news@quay.example", null, null, true, MONDAY),
                new PartyRule(TILDA.address(), null, 3, false, MONDAY),
                new PartyRule(PartyRule.SUBJECT + "tide report #", null, null, true, MONDAY)));
        assertThat(past.takes(fromList("news@quay.example"))).isTrue();
        assertThat(past.takes(mail("Crane")))
                .as("a rule that says something else")
                .isFalse();
        assertThat(past.takes(mail("Re: Tide report 48"))).isTrue();
        assertThat(past.takes(mail("Tide report"))).isFalse();
        StoredMessage chat =
                message(Channel.CHAT, Direction.INCOMING, TILDA, List.of(), "Tide report 48", MONDAY, null);
        assertThat(past.takes(chat)).as("a chat has no subjects").isFalse();
    }

    @Test
    void puttingOffMeansTomorrowAtLeast() {
        LocalDate today = LocalDate.of(2026, 12, 31);
        PutOff.check(today.plusDays(1), today);
        assertThatThrownBy(() -> PutOff.check(today, today)).hasMessageContaining("tomorrow or later");
        assertThatThrownBy(() -> PutOff.check(today.minusDays(1), today)).isInstanceOf(IllegalArgumentException.class);
    }
}
