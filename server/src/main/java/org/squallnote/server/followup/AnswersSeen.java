package org.squallnote.server.followup;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.turn.Debt;
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
        if (open.isEmpty() || facts.thanksOnly()) {
            return;
        }
        Set<String> to = Stream.concat(answer.recipients().to().stream(), answer.recipients().cc().stream())
                .map(Party::address)
                .collect(Collectors.toSet());
        for (FollowUp followUp : open) {
            Set<UUID> asked = new HashSet<>();
            for (FollowUpOrigin origin : store.originsOf(owner, followUp.id())) {
                if (origin.threadId().equals(threadId) && to.contains(origin.fromAddress())) {
                    asked.add(origin.messageId());
                }
            }
            if (!asked.isEmpty()) {
                follow(owner, followUp, asked, answer, facts, state, recent);
            }
        }
    }

    private void follow(
            UUID owner,
            FollowUp followUp,
            Set<UUID> asked,
            StoredMessage answer,
            Facts facts,
            TurnState state,
            boolean recent) {
        boolean rests = state.paused().stream()
                .anyMatch(rest -> asked.contains(rest.debt().messageId()));
        Optional<Debt> owed = state.debts().stream()
                .filter(debt ->
                        asked.contains(debt.messageId()) || debt.messageId().equals(answer.id()))
                .findFirst();
        if (rests) {
            return; // I asked back; it goes on when they have answered.
        }
        if (owed.isEmpty()) {
            answered(owner, followUp, answer, recent);
        } else if (facts.holding() || facts.promises()) {
            owed.get().by().ifPresent(by -> promised(owner, followUp, by, recent));
        }
    }

    private void answered(UUID owner, FollowUp followUp, StoredMessage answer, boolean recent) {
        if (followUp.forReply()) {
            commands.runWithin(owner, "follow-up-answered", changes -> {
                followUps.changeWithin(owner, followUp, followUp.ended(FollowUpState.DONE, clock.instant()), changes);
                say(changes, "Done, since your answer was seen: " + followUp.title(), recent);
            });
        } else if (followUp.answerSeen() == null) {
            commands.runWithin(owner, "follow-up-answer-seen", changes -> {
                followUps.changeWithin(owner, followUp, followUp.answerSeen(answer.id()), changes);
                say(changes, "Your answer was seen. Is it done? " + followUp.title(), false);
            });
        }
    }

    private void promised(UUID owner, FollowUp followUp, LocalDateTime by, boolean recent) {
        LocalDate day = by.toLocalDate();
        @Nullable LocalTime time = by.toLocalTime().equals(LocalTime.MAX) ? null : by.toLocalTime();
        boolean same = day.equals(followUp.replyDay()) && Objects.equals(time, followUp.replyTime());
        if (same) {
            return;
        }
        commands.runWithin(owner, "follow-up-promised", changes -> {
            followUps.changeWithin(owner, followUp, followUp.replyBy(day, time), changes);
            say(changes, "Moved to " + DAY.format(day) + ", as you promised: " + followUp.title(), recent);
        });
    }

    private static void say(Changes changes, String label, boolean recent) {
        changes.label(label);
        if (recent) {
            changes.announce();
        }
    }
}
