package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.draft.Draft;
import org.squallnote.core.draft.DraftFile;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOverBuilder;
import org.squallnote.core.message.Decision;
import org.squallnote.core.turn.Facts;
import org.squallnote.store.draft.DraftFileStore;
import org.squallnote.store.draft.DraftStore;
import org.squallnote.store.handover.HandOverStore;
import org.squallnote.store.reading.ReadingStore;

/** Drafts, their files, readings and hand-overs: what hangs on a message. */
class DraftStoreTest extends StoreTest {

    @Autowired
    private DraftStore drafts;

    @Autowired
    private DraftFileStore files;

    @Autowired
    private ReadingStore readings;

    @Autowired
    private HandOverStore handOvers;

    private final UUID thread = UUID.randomUUID();
    private UUID message = thread;

    @BeforeEach
    void aMessage() {
        message = insertMail("draft@x", thread, 1, Decision.UNDECIDED).id();
    }

    @Test
    void aDraftIsReplacedAndBelongsToItsOwner() {
        drafts.save(new Draft(owner, message, "Dear", false, "", "", CLOCK_CHANGE));
        Draft kept = new Draft(owner, message, "Dear Tilda", true, "bo@", "x@y", CLOCK_CHANGE);
        drafts.save(kept);
        assertThat(drafts.of(owner, message)).contains(kept);
        assertThat(drafts.of(stranger, message)).isEmpty();
        assertThat(drafts.delete(stranger, message)).isZero();
        assertThat(drafts.delete(owner, message)).isEqualTo(1);
    }

    @Test
    void filesGoWithWhatWasSentAndComeBack() {
        UUID command = UUID.randomUUID();
        UUID file = UUID.randomUUID();
        files.insert(new DraftFile(
                file, owner, message, "plan.pdf", "application/pdf", 3, new byte[] {1, 2, 3}, null, CLOCK_CHANGE));
        assertThat(files.bytesWaiting(owner, message)).isEqualTo(3);
        assertThat(files.waiting(stranger, message)).isEmpty();
        files.move(owner, message, null, command);
        assertThat(files.waiting(owner, message)).isEmpty();
        assertThat(files.delete(owner, message, file)).as("it was sent").isZero();
        files.move(owner, message, command, null);
        assertThat(files.waiting(owner, message).get(0).content()).containsExactly(1, 2, 3);
        assertThat(files.forgetSent(owner, CLOCK_CHANGE.plusSeconds(1)))
                .as("it waits")
                .isZero();
        files.move(owner, message, null, command);
        assertThat(files.forgetSent(owner, CLOCK_CHANGE.plusSeconds(1))).isEqualTo(1);
    }

    @Test
    void whatWasReadByAnotherVersionIsKnown() {
        readings.insert(owner, message, "1-a", Facts.SILENT);
        assertThat(readings.outdated(owner, "1-a", 9)).isEmpty();
        assertThat(readings.outdated(owner, "2-a", 9)).containsExactly(message);
        assertThat(readings.countOutdated(owner, "2-a")).isEqualTo(1);
        readings.save(owner, message, "2-a", Facts.SILENT);
        assertThat(readings.countOutdated(owner, "2-a")).isZero();
        assertThat(readings.inThread(owner, thread)).hasSize(1);
        assertThat(readings.inThread(stranger, thread)).isEmpty();
        assertThat(readings.of(owner, message).orElseThrow().facts()).isEqualTo(Facts.SILENT);
    }

    @Test
    void whatWasHandedOverIsSeenByItsTakerAloneAndSettledForItsGiver() {
        String address = "bo-" + stranger + "@x.example";
        sources.insert(source(UUID.randomUUID(), stranger, address));
        String identity = "h-" + stranger;
        HandOver offered = HandOverBuilder.builder()
                .identity(identity)
                .giver(owner)
                .giverMessage(message)
                .takerAddress(address)
                .takerName("Bo")
                .state(HandOver.State.OFFERED)
                .word("")
                .offeredAt(CLOCK_CHANGE)
                .changedAt(CLOCK_CHANGE)
                .wantedDay(DAY)
                .untold(HandOver.Side.NOBODY)
                .build();
        handOvers.insert(offered);
        assertThat(handOvers.forTaker(stranger, identity)).contains(offered);
        assertThat(handOvers.forTaker(owner, identity)).as("its giver").isEmpty();
        assertThat(handOvers.ofMessage(stranger, message)).isEmpty();
        assertThat(handOvers.given(stranger, 10)).isEmpty();
        assertThat(handOvers.received(owner, 10)).isEmpty();
        assertThat(handOvers.received(stranger, 10)).containsExactly(offered);
        assertThat(handOvers.takers(owner, address)).containsExactly(stranger);

        UUID followUp = UUID.randomUUID();
        HandOver accepted = offered.to(HandOver.State.ACCEPTED, HandOver.Side.TAKER, "", CLOCK_CHANGE)
                .taken(DAY, followUp);
        handOvers.settle(accepted);
        assertThat(handOvers.untold()).contains(accepted);
        assertThat(handOvers.ofFollowUp(stranger, followUp)).contains(accepted);
        assertThat(handOvers.ofFollowUp(owner, followUp)).isEmpty();
        HandOver declined =
                accepted.to(HandOver.State.DECLINED, HandOver.Side.TAKER, "no time", CLOCK_CHANGE.plusSeconds(1));
        handOvers.settle(declined);
        assertThat(handOvers.told(accepted)).as("it has changed since").isZero();
        assertThat(handOvers.told(declined)).isEqualTo(1);
        assertThat(handOvers.untold()).doesNotContain(accepted, declined);
        assertThat(handOvers.ofMessage(owner, message))
                .extracting(HandOver::word)
                .containsExactly("no time");
    }
}
