package org.squallnote.server.reminder;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.reminder.Reminder;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.reminder.ReminderStore;

/** What has come up and waits for somebody. */
@Component
class ComingUp {

    private final ReminderStore store;
    private final FollowUpStore followUps;
    private final Clock clock;

    ComingUp(ReminderStore store, FollowUpStore followUps, Clock clock) {
        this.store = store;
        this.followUps = followUps;
        this.clock = clock;
    }

    ReminderController.RemindersView of(SignedIn me) {
        UUID owner = me.accountId();
        List<ReminderController.DueReminder> due = store.shown(owner).stream()
                .flatMap(reminder -> line(owner, reminder).stream())
                .toList();
        // A meeting that has begun reminds nobody any more.
        return new ReminderController.RemindersView(due, store.toldSince(owner, clock.instant()));
    }

    private Optional<ReminderController.DueReminder> line(UUID owner, Reminder reminder) {
        return followUps
                .byId(owner, reminder.followUpId())
                .map((FollowUp followUp) -> new ReminderController.DueReminder(
                        reminder.id(),
                        followUp.id(),
                        followUp.title(),
                        reminder.kind() == Reminder.Kind.ANSWERED,
                        followUp.version(),
                        Optional.ofNullable(reminder.shownAt()).orElse(Instant.EPOCH)));
    }
}
