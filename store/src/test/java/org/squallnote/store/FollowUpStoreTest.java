package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.store.followup.FollowUpStore;

class FollowUpStoreTest extends StoreTest {

    @Autowired
    private FollowUpStore followUps;

    private FollowUp insert(String title, java.time.LocalDate day, LocalTime time) {
        FollowUp followUp = followUp(title, day, time);
        followUps.insert(followUp);
        return followUp;
    }

    @Test
    void followUpsComeByDateAndTheUndatedLast() {
        insert("undated", null, null);
        insert("later", DAY.plusDays(1), null);
        insert("at three", DAY, LocalTime.of(15, 0));
        insert("at nine", DAY, LocalTime.of(9, 0));

        assertThat(followUps.open(owner))
                .extracting(FollowUp::title)
                .containsExactly("at nine", "at three", "later", "undated");
        assertThat(followUps.open(owner).get(0).replyBy().orElseThrow().time()).contains(LocalTime.of(9, 0));
        assertThat(followUps.open(stranger)).isEmpty();
    }

    @Test
    void anUpdateCountsOnlyOnTheVersionItWasBasedOn() {
        FollowUp old = insert("Plan", DAY, null);
        assertThat(followUps.update(old.replyBy(DAY.plusDays(1), null))).isEqualTo(1);
        assertThat(followUps.update(old.replyBy(DAY.plusDays(2), null))).isZero();
        assertThat(followUps.byId(owner, old.id()).orElseThrow().replyDay()).isEqualTo(DAY.plusDays(1));
    }

    @Test
    void endedOnesAreNoLongerOpenAndComeTheLastEndedFirst() {
        FollowUp first = insert("first", DAY, null);
        FollowUp second = insert("second", DAY, null);
        followUps.update(first.ended(FollowUpState.DONE, CLOCK_CHANGE.plusSeconds(1)));
        followUps.update(second.ended(FollowUpState.DONE, CLOCK_CHANGE.plusSeconds(2)));
        assertThat(followUps.open(owner)).isEmpty();
        assertThat(followUps.endedSince(owner, CLOCK_CHANGE))
                .extracting(FollowUp::title)
                .containsExactly("second", "first");
        assertThat(followUps.endedSince(owner, CLOCK_CHANGE.plusSeconds(2))).hasSize(1);
    }

    @Test
    void itIsLinkedToItsMessagesAndTheirThread() {
        UUID thread = UUID.randomUUID();
        StoredMessage message = insertMail("l@x", thread, 1, Decision.FOLLOW_UP);
        FollowUp followUp = insert("Plan", DAY, null);
        followUps.insertLink(
                owner, new FollowUpLink(followUp.id(), message.id(), CLOCK_CHANGE, "Could you?", "as it was"));

        assertThat(followUps.links(owner, followUp.id()))
                .extracting(FollowUpLink::snapshot)
                .containsExactly("as it was");
        assertThat(followUps.ofMessage(owner, message.id()))
                .extracting(FollowUp::id)
                .containsExactly(followUp.id());
        assertThat(followUps.ofThread(owner, thread)).hasSize(1);
        assertThat(followUps.openInThread(owner, thread, CLOCK_CHANGE.plusSeconds(2)))
                .hasSize(1);
        assertThat(followUps.openInThread(owner, thread, CLOCK_CHANGE.plusSeconds(1)))
                .as("made from what was sent later")
                .isEmpty();
        assertThat(followUps.origins(owner, CLOCK_CHANGE))
                .extracting(FollowUpOrigin::fromName)
                .containsExactly(TILDA.name());
        assertThat(followUps.links(stranger, followUp.id())).isEmpty();
        assertThat(followUps.ofMessage(stranger, message.id())).isEmpty();
        assertThat(followUps.delete(stranger, followUp.id())).isZero();
        assertThat(followUps.deleteLinks(owner, followUp.id())).isEqualTo(1);
        assertThat(followUps.delete(owner, followUp.id())).isEqualTo(1);
    }
}
