package org.squallnote.core.invitation;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.invitation.Invitation.Standing;
import org.squallnote.core.invitation.Scheduling.Attendee;
import org.squallnote.core.message.Party;

/** Which scheduling message counts, and who has answered, in any order of arrival. */
class InvitationTest {

    private static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt.example");
    private static final Party INES = new Party("Ines Calloway", "ines@merrowquay.example");
    private static final Party BO = new Party("Bo Lindgren", "bo@yard.example");
    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    private static Said said(Method method, Party by, int sequence, int minute, String time, Attendee... attendees) {
        return new Said(
                UUID.nameUUIDFromBytes((method + by.address() + sequence + minute + time).getBytes()),
                by.address(),
                new Scheduling(
                        method,
                        "crane@brandt.example",
                        time,
                        sequence,
                        NINE.plusSeconds(60L * minute),
                        TILDA,
                        List.of(attendees),
                        "Crane",
                        "Slipway",
                        NINE,
                        NINE.plusSeconds(3600),
                        false,
                        false,
                        ""));
    }

    private static Attendee is(Party party, Participation participation) {
        return new Attendee(party, participation, false);
    }

    private static Said request(int sequence, int minute) {
        return said(
                Method.REQUEST,
                TILDA,
                sequence,
                minute,
                "",
                is(INES, Participation.NEEDS_ACTION),
                is(BO, Participation.NEEDS_ACTION));
    }

    @Test
    void whatHasTheHigherSequenceCountsInAnyOrder() {
        List<Said> all = new ArrayList<>(List.of(
                request(0, 0),
                request(1, 5),
                request(1, 4),
                said(Method.REPLY, BO, 1, 9, "", is(BO, Participation.TENTATIVE)),
                said(Method.REPLY, BO, 1, 12, "", is(BO, Participation.ACCEPTED)),
                said(Method.REPLY, BO, 0, 30, "", is(BO, Participation.DECLINED))));
        Random random = new Random(7);
        for (int run = 0; run < 50; run++) {
            Collections.shuffle(all, random);
            Invitation now = Invitation.of("", all);
            assertThat(now.current()).contains(request(1, 5));
            assertThat(now.standingOf(request(0, 0).messageId())).isEqualTo(Standing.OUT_OF_DATE);
            assertThat(now.standingOf(request(1, 5).messageId())).isEqualTo(Standing.CURRENT);
            assertThat(now.attendees())
                    .containsExactly(is(INES, Participation.NEEDS_ACTION), is(BO, Participation.ACCEPTED));
            assertThat(now.notAnswered()).extracting(Attendee::party).containsExactly(INES);
        }
    }

    @Test
    void aMeetingThatIsCalledOffIsOverForAllThatWasSaidBefore() {
        Said cancel = said(Method.CANCEL, TILDA, 2, 20, "");
        Invitation now = Invitation.of("", List.of(cancel, request(1, 5)));
        assertThat(now.standingOf(request(1, 5).messageId())).isEqualTo(Standing.CALLED_OFF);
        assertThat(Invitation.of("", List.of(cancel, request(3, 25)))
                        .standingOf(request(3, 25).messageId()))
                .as("called back to life by a later one")
                .isEqualTo(Standing.CURRENT);
    }

    @Test
    void oneTimeOfASeriesIsCalledOffWithoutTheOthersAndAllWithTheWhole() {
        Said one = said(Method.REQUEST, TILDA, 1, 5, "20260309T090000", is(INES, Participation.NEEDS_ACTION));
        Said oneOff = said(Method.CANCEL, TILDA, 2, 8, "20260309T090000");
        assertThat(Invitation.of("20260309T090000", List.of(request(0, 0), one, oneOff))
                        .standingOf(one.messageId()))
                .isEqualTo(Standing.CALLED_OFF);
        assertThat(Invitation.of("", List.of(request(0, 0), one, oneOff))
                        .standingOf(request(0, 0).messageId()))
                .isEqualTo(Standing.CURRENT);
        Said allOff = said(Method.CANCEL, TILDA, 3, 9, "");
        assertThat(Invitation.of("20260309T090000", List.of(one, allOff)).standingOf(one.messageId()))
                .isEqualTo(Standing.CALLED_OFF);
    }

    @Test
    void nobodyCallsOffTheMeetingOfAnotherOrAnswersForThem() {
        Said foreign = said(Method.CANCEL, BO, 9, 50, "");
        Said forBo = said(Method.REPLY, INES, 1, 50, "", is(BO, Participation.DECLINED));
        Invitation now = Invitation.of("", List.of(request(1, 5), foreign, forBo));
        assertThat(now.standingOf(request(1, 5).messageId())).isEqualTo(Standing.CURRENT);
        assertThat(now.attendees()).contains(is(BO, Participation.NEEDS_ACTION));
    }

    @Test
    void whoeverWasNotInvitedAndAnswersIsSeen() {
        Party gus = new Party("Gus Ferrant", "gus@yard.example");
        Invitation now = Invitation.of(
                "", List.of(request(1, 5), said(Method.REPLY, gus, 1, 9, "", is(gus, Participation.ACCEPTED))));
        assertThat(now.attendees()).contains(is(gus, Participation.ACCEPTED)).hasSize(3);
    }

    @Test
    void namesAreThoseOfTheStandard() {
        assertThat(Participation.of("needs-action")).isEqualTo(Participation.NEEDS_ACTION);
        assertThat(Participation.of("ACCEPTED")).isEqualTo(Participation.ACCEPTED);
        assertThat(Participation.of("X-MAYBE")).isEqualTo(Participation.NEEDS_ACTION);
        assertThat(Participation.of(null)).isEqualTo(Participation.NEEDS_ACTION);
        assertThat(Participation.NEEDS_ACTION.written()).isEqualTo("NEEDS-ACTION");
        assertThat(Method.of("request")).contains(Method.REQUEST);
        assertThat(Method.of("PUBLISH")).isEmpty();
    }
}
