package org.squallnote.server.followup;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.AnswerEffect;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.StoredFacts;
import org.squallnote.core.turn.TurnState;
import org.squallnote.server.arrival.AnswerSeen;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.reading.ReadingStore;

/**
 * Lets follow-ups follow my answers, wherever they were written: one whose purpose is the reply ends, a promise moves
 * its date, and any other one is marked, so that its user says whether it is done.
 */
@Component
class AnswersSeen implements AnswerSeen {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final FollowUpStore store;
    private final FollowUps followUps;
    private final ReadingStore readings;
    private final Commands commands;
    private final Clock clock;

    AnswersSeen(FollowUpStore store, FollowUps followUps, ReadingStore readings, Commands commands, Clock clock) {
        this.store = store;
        this.followUps = followUps;
        this.readings = readings;
        this.commands = commands;
        this.clock = clock;
    }

    @Override
    public void seen(UUID owner, StoredMessage answer, UUID threadId, TurnState state, boolean recent) {
        // A mail is dated in whole seconds: what was asked in the same one was asked before it.
        List<FollowUp> open =
                store.openInThread(owner, threadId, answer.sentAt().plusSeconds(1));
        Facts facts = readings.of(owner, answer.id()).map(StoredFacts::facts).orElse(Facts.SILENT);
        if (open.isEmpty()) {
            return;
        }
        for (FollowUp followUp : open) {
            Set<UUID> asked = store.originsOf(owner, followUp.id()).stream()
                    .filter(origin -> origin.threadId().equals(threadId)
                            && answer.recipients().reach(origin.fromAddress()))
                    .map(FollowUpOrigin::messageId)
                    .collect(Collectors.toSet());
            AnswerEffect effect = AnswerEffect.of(followUp, asked, answer.id(), facts, state);
            if (effect instanceof AnswerEffect.Done) {
                done(owner, followUp, recent);
            } else if (effect instanceof AnswerEffect.Asked) {
                asked(owner, followUp, answer);
            } else if (effect instanceof AnswerEffect.Moved moved) {
                moved(owner, followUp, moved, recent);
            }
        }
    }

    private void done(UUID owner, FollowUp followUp, boolean recent) {
        commands.runWithin(owner, "follow-up-answered", changes -> {
            String beside = followUps.changeWithin(
                    owner, followUp.id(), each -> each.ended(FollowUpState.DONE, clock.instant()), changes);
            say(changes, "Done, since your answer was seen: " + followUp.title() + beside, recent);
        });
    }

    private void asked(UUID owner, FollowUp followUp, StoredMessage answer) {
        commands.runWithin(owner, "follow-up-answer-seen", changes -> {
            followUps.changeWithin(owner, followUp.id(), each -> each.answerSeen(answer.id()), changes);
            say(changes, "Your answer was seen. Is it done? " + followUp.title(), false);
        });
    }

    private void moved(UUID owner, FollowUp followUp, AnswerEffect.Moved moved, boolean recent) {
        commands.runWithin(owner, "follow-up-promised", changes -> {
            followUps.changeWithin(owner, followUp.id(), each -> each.replyBy(moved.day(), moved.time()), changes);
            say(changes, "Moved to " + DAY.format(moved.day()) + ", as you promised: " + followUp.title(), recent);
        });
    }

    private static void say(Changes changes, String label, boolean recent) {
        changes.label(label);
        if (recent) {
            changes.announce();
        }
    }
}
