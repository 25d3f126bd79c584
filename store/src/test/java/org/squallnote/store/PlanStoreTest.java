package org.squallnote.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.plan.Band;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.plan.Stint;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;

class PlanStoreTest extends StoreTest {

    @Autowired
    private FollowUpStore followUps;

    @Autowired
    private PlanStore plans;

    private FollowUp followUp;

    @BeforeEach
    void insert() {
        followUp = followUp("Plan", DAY, null);
        followUps.insert(followUp);
    }

    @Test
    void aPlanIsKeptWholeAndBelongsToItsOwner() {
        Planned planned = new Planned(followUp.id(), DAY, Band.NOW, 3, LocalTime.of(14, 30), 45);
        plans.insert(owner, planned);
        assertThat(plans.ofOpen(owner)).containsExactly(planned);
        assertThat(plans.of(owner, followUp.id())).contains(planned);
        assertThat(plans.of(stranger, followUp.id())).isEmpty();
        assertThat(plans.ofOpen(stranger)).isEmpty();
        assertThat(plans.delete(stranger, followUp.id())).isZero();
        assertThat(plans.delete(owner, followUp.id())).isEqualTo(1);
        plans.insert(owner, Planned.on(followUp.id(), DAY));
        assertThat(plans.of(owner, followUp.id())).contains(Planned.on(followUp.id(), DAY));
    }

    @Test
    void whatHasEndedIsPlannedForItsDayOnly() {
        plans.insert(owner, Planned.on(followUp.id(), DAY));
        followUps.update(followUp.ended(FollowUpState.DONE, CLOCK_CHANGE));
        assertThat(plans.ofOpen(owner)).isEmpty();
        assertThat(plans.ofEnded(owner, DAY)).hasSize(1);
        assertThat(plans.ofEnded(owner, DAY.plusDays(1))).isEmpty();
        assertThat(plans.ofEnded(stranger, DAY)).isEmpty();
    }

    @Test
    void timeSpentIsFoundByFollowUpAndWhileItRuns() {
        Stint over =
                new Stint(UUID.randomUUID(), followUp.id(), CLOCK_CHANGE, CLOCK_CHANGE.plusSeconds(600), CLOCK_CHANGE);
        Stint running = new Stint(UUID.randomUUID(), followUp.id(), CLOCK_CHANGE.plusSeconds(900), null, null);
        plans.insertStint(owner, over);
        plans.insertStint(owner, running);
        assertThat(plans.underWay(owner)).contains(running);
        assertThat(plans.underWay(stranger)).isEmpty();
        assertThat(plans.stints(owner, CLOCK_CHANGE)).containsExactly(over, running);
        assertThat(plans.stints(stranger, CLOCK_CHANGE)).isEmpty();
        assertThat(plans.deleteStint(owner, running.id())).isEqualTo(1);
        assertThat(plans.underWay(owner)).isEmpty();
        followUps.update(followUp.ended(FollowUpState.DONE, CLOCK_CHANGE));
        assertThat(plans.stints(owner, CLOCK_CHANGE.plusSeconds(700))).isEmpty();
        assertThat(plans.stints(owner, CLOCK_CHANGE)).hasSize(1);
    }

    @Test
    void withItsFollowUpGoesWhatWasPlannedForIt() {
        plans.insert(owner, Planned.on(followUp.id(), DAY));
        plans.insertStint(owner, new Stint(UUID.randomUUID(), followUp.id(), CLOCK_CHANGE, null, null));
        assertThat(followUps.delete(owner, followUp.id())).isEqualTo(1);
        assertThat(plans.of(owner, followUp.id())).isEmpty();
        assertThat(plans.underWay(owner)).isEmpty();
    }

    @Test
    void thePriorityIsKept() {
        assertThat(followUps.byId(owner, followUp.id()).orElseThrow().priority())
                .isEqualTo(Priority.HIGH);
    }
}
