package org.squallnote.server.followup;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.server.arrival.FreshMessages;
import org.squallnote.server.command.Commands;
import org.squallnote.store.followup.FollowUpStore;

/** Brings follow-ups back on top when somebody writes for whom, or where, they wait. */
@Component
class WaitingFollowUps implements FreshMessages {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final FollowUpStore store;
    private final FollowUps followUps;
    private final Commands commands;

    WaitingFollowUps(FollowUpStore store, FollowUps followUps, Commands commands) {
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
    }

    @Override
    public void theirs(UUID owner, StoredMessage message, UUID threadId) {
        List<FollowUp> waiting = store.waiting(owner, message.sentAt());
        for (FollowUp followUp : waiting) {
            Waiting what = followUp.waiting();
            if (what != null && what.isEndedBy(message.from(), threadId, message.sentAt())) {
                back(owner, followUp, what, message);
            }
        }
    }

    private void back(UUID owner, FollowUp followUp, Waiting what, StoredMessage message) {
        Waiting ended = what.ended(
                message.id(),
                message.from().displayName(),
                OwnWords.of(message.body(), message.from().name()).ownOrAll(),
                message.sentAt());
        commands.runWithin(owner, "follow-up-back", changes -> {
            followUps.changeWithin(owner, followUp.id(), each -> each.waitingFor(ended), changes);
            String writer = message.from().displayName() + " has written: ";
            if (ended.come() == null) {
                changes.label(writer + "it still needs another one first: " + followUp.title());
            } else {
                changes.label(writer + "back on top: " + followUp.title()).announce();
            }
        });
    }

    /** What a follow-up waits for, in words; empty where it waits for nothing. */
    static String words(@Nullable Waiting waiting) {
        if (waiting == null) {
            return "";
        }
        List<String> parts = new ArrayList<>();
        Optional.ofNullable(waiting.person()).ifPresent(person -> parts.add("until " + person.shortName() + " writes"));
        if (waiting.threadId() != null) {
            parts.add(parts.isEmpty() ? "until somebody answers in the thread" : "or somebody answers in the thread");
        }
        LocalDate until = waiting.until();
        if (until != null) {
            parts.add(parts.isEmpty() ? "until " + DAY.format(until) : "at the latest " + DAY.format(until));
        }
        return String.join(", ", parts);
    }
}
