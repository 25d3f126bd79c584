package org.squallnote.server.reminder;

import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
        List<Reminder> shown = store.shown(owner);
        Map<UUID, FollowUp> open = new HashMap<>();
        if (!shown.isEmpty()) {
            followUps.open(owner).forEach(each -> open.put(each.id(), each));
        }
        List<ReminderController.DueReminder> due = shown.stream()
                .flatMap(reminder ->
                        Optional.ofNullable(open.get(reminder.followUpId()))
                                .map(followUp -> line(reminder, followUp))
                                .stream())
                .toList();
        // A meeting that has begun reminds nobody any more.
        return new ReminderController.RemindersView(due, store.toldSince(owner, clock.instant()));
    }

    private static ReminderController.DueReminder line(Reminder reminder, FollowUp followUp) {
        return new ReminderController.DueReminder(
                reminder.id(),
                followUp.id(),
                followUp.title(),
                reminder.kind() == Reminder.Kind.ANSWERED,
                followUp.version(),
                Optional.ofNullable(reminder.shownAt()).orElse(Instant.EPOCH));
    }
}
