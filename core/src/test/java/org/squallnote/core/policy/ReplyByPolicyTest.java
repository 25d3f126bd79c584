package org.squallnote.core.policy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.ProposedTitle;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.time.WorkingTime;

/** What is proposed for a message of Tuesday 10 March 2026, 10:20. */
class ReplyByPolicyTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final WorkingTime OFFICE = WorkingTime.officeHours(LONDON);
    private static final LocalDateTime SENT = LocalDateTime.parse("2026-03-10T10:20");
    private static final Party TILDA = new Party("Tilda Brandt", "tilda@cranefirm.example");
    private static final UUID CRANE = new UUID(0, 7);
    private static final Reader READER =
            new Reader(new Me("Ines Calloway", Set.of("ines@merrowquay.example"), List.of()), false, OFFICE);

    private static Reading read(String text) {
        return READER.read(MessageToReadBuilder.builder()
                .channel(Channel.MAIL)
                .from(TILDA)
                .to(List.of(new Party("Ines Calloway", "ines@merrowquay.example")))
                .cc(List.of())
                .sentAt(SENT.atZone(LONDON).toInstant())
                .subject("Crane")
                .headers(Headers.none())
                .text(text)
                .mentions(Set.of())
                .known(List.of())
                .build());
    }

    private static String proposed(ReplyByPolicy policy, String text, LocalDateTime now) {
        ReplyByPolicy.Proposal proposal =
                policy.propose(read(text), text, "Crane", TILDA.address(), Optional.of(CRANE), SENT, now, OFFICE);
        return proposal.day()
                + proposal.time().map(t -> "T" + t).orElse("")
                + (proposal.firm() ? " firm " : " flexible ")
                + proposal.why();
    }

    private static String proposed(String text) {
        return proposed(ReplyByPolicy.USUAL, text, SENT);
    }

    @Test
    void aDateInTheMessageIsTaken() {
        assertThat(proposed("Could you send the plan by Friday?")).isEqualTo("2026-03-13 firm “by Friday”");
    }

    @Test
    void aTimeOnADayOffBecomesTheLastWorkingMomentBefore() {
        assertThat(proposed("Please call me by noon on Saturday."))
                .isEqualTo("2026-03-13T17:00 firm the last working hours before “by noon on Saturday”");
    }

    @Test
    void withoutADateWorkingDaysCount() {
        assertThat(proposed("Could you send the plan?"))
                .isEqualTo("2026-03-12 flexible 2 working days, since it names no date");
        ReplyByPolicy byCategory = new ReplyByPolicy(2, Map.of(), Map.of(CRANE, 5));
        assertThat(proposed(byCategory, "Could you send the plan?", SENT))
                .startsWith("2026-03-17 flexible 5 working days");
        ReplyByPolicy byParty = new ReplyByPolicy(2, Map.of(TILDA.address(), 1), Map.of(CRANE, 5));
        assertThat(proposed(byParty, "Could you send the plan?", SENT))
                .isEqualTo("2026-03-11 flexible one working day, as always for this sender");
    }

    @Test
    void neverAfterTheEventThatItIsFor() {
        assertThat(proposed("Could you send me the agenda for the meeting on Wednesday?"))
                .isEqualTo("2026-03-11 flexible it is for “Wednesday”");
    }

    @Test
    void neverBeforeToday() {
        LocalDateTime later = LocalDateTime.parse("2026-03-20T09:00");
        assertThat(proposed(ReplyByPolicy.USUAL, "Could you send the plan?", later))
                .isEqualTo("2026-03-20 flexible it has waited longer than 2 working days");
        assertThat(proposed(ReplyByPolicy.USUAL, "Could you send the plan by Friday?", later))
                .isEqualTo("2026-03-20 flexible its date, “by Friday”, has passed");
    }

    @Test
    void aNumberOfDaysHasBounds() {
        assertThatThrownBy(() -> new ReplyByPolicy(91, Map.of(), Map.of())).hasMessageContaining("90");
    }

    @Test
    void titlesBeginWithAVerb() {
        assertThat(title("Hi Ines,\n\ncould you send me the berth plan for pontoon C?"))
                .isEqualTo("Send Tilda the berth plan for pontoon C");
        assertThat(title("Would you mind sending the invoice on Thursday?")).isEqualTo("Send the invoice");
        assertThat(title("We still need the signed lease from you.")).isEqualTo("Send Tilda the signed lease");
        assertThat(title("Please let us know whether the 24th suits you."))
                .isEqualTo("Tell Tilda whether the 24th suits me");
        assertThat(title("Let me have your hours by Friday.")).isEqualTo("Send Tilda my hours");
        assertThat(title("Could we have the slipway on Saturday morning instead?"))
                .isEqualTo("Give Tilda the slipway on Saturday morning instead");
        assertThat(title("Please send the list by Friday if possible.")).isEqualTo("Send the list");
        assertThat(title("Which pontoon is it?")).isEqualTo("Answer Tilda: which pontoon is it?");
        assertThat(title("Shall I book the crane?")).isEqualTo("Answer Tilda: shall I book the crane?");
        assertThat(title("I'd be grateful if you could check my figures before the meeting."))
                .isEqualTo("Check Tilda’s figures before the meeting");
        assertThat(title("If you can sign it off by Thursday we go to press.")).startsWith("Sign it off");
        assertThat(title("The crane is booked.")).isEqualTo("Answer Tilda about Crane");
    }

    @Test
    void titlesAreSaidByTheOneWhoDoesIt() {
        assertThat(title("Could you give us your approval until Friday?")).isEqualTo("Give Tilda my approval");
        assertThat(title("Please tell me what you think of our draft."))
                .isEqualTo("Tell Tilda what I think of Tilda’s draft");
        assertThat(title("Let me know which day suits you.")).isEqualTo("Tell Tilda which day suits me");
        assertThat(title("Please let me know whether you are coming.")).isEqualTo("Tell Tilda whether I am coming");
        assertThat(title("Please send me yours by Friday.")).isEqualTo("Send Tilda mine");
    }

    private static String title(String text) {
        return ProposedTitle.of(TILDA, "Crane", text, read(text));
    }
}
