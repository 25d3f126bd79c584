package org.squallnote.server.followup;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.command.Changes;
import org.squallnote.server.live.Topic;
import org.squallnote.store.followup.FollowUpStore;

/** Moves follow-ups from one category to another, as part of a larger change. */
@Component
public class Recategorising {

    private final FollowUpStore store;

    Recategorising(FollowUpStore store) {
        this.store = store;
    }

    /** Moves all; answers how many there were. */
    public int move(UUID owner, UUID from, UUID into, Changes changes) {
        int moved = 0;
        for (FollowUp followUp : store.inCategory(owner, from)) {
            FollowUp changed = followUp.inCategory(into);
            store.update(changed);
            changes.record(
                    SubjectType.FOLLOW_UP,
                    followUp.id(),
                    new FollowUpRecord(followUp, store.links(owner, followUp.id())),
                    new FollowUpRecord(changed, store.links(owner, followUp.id())));
            moved++;
        }
        changes.touch(Topic.FOLLOW_UPS);
        return moved;
    }

    /** Whether any follow-up has this category. */
    public boolean isUsed(UUID owner, UUID categoryId) {
        return !store.inCategory(owner, categoryId).isEmpty();
    }
}
