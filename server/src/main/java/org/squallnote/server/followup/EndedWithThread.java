package org.squallnote.server.followup;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.server.command.Changes;
import org.squallnote.server.thread.EndingOfThread;
import org.squallnote.store.followup.FollowUpStore;

/** Follow-ups that are done when the thread from which they were made is closed. */
@Component
class EndedWithThread implements EndingOfThread {

    private final FollowUpStore store;
    private final FollowUps followUps;
    private final Clock clock;

    EndedWithThread(FollowUpStore store, FollowUps followUps, Clock clock) {
        this.store = store;
        this.followUps = followUps;
        this.clock = clock;
    }

    @Override
    public int endOfThread(UUID owner, UUID threadId, Changes changes) {
        List<FollowUp> open = store.ofThread(owner, threadId).stream()
                .filter(each -> each.state() == FollowUpState.OPEN)
                .toList();
        open.forEach(each -> followUps.changeWithin(
                owner, each.id(), now -> now.ended(FollowUpState.DONE, clock.instant()), changes));
        return open.size();
    }
}
