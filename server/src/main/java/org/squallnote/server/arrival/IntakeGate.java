package org.squallnote.server.arrival;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.intake.IntakeStart;
import org.squallnote.core.intake.PastIntake;
import org.squallnote.core.intake.Settling;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.TurnState;
import org.squallnote.server.command.Commands;
import org.squallnote.server.live.EventLog;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.settings.SettingsStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.thread.ThreadStore;

/**
 * Decides which arriving messages wait in Intake, and takes out of it what an answer of mine, wherever it was written,
 * has settled.
 */
@Component
class IntakeGate {

    /** About older answers, met while a mailbox is read for the first time, nobody wants to be told. */
    private static final Duration RECENT = Duration.ofHours(12);

    private final MessageStore messages;
    private final SourceStore sources;
    private final ThreadStore threads;
    private final ThreadTurns turns;
    private final AnswerSeen answerSeen;
    private final List<FreshMessages> followers;
    private final SettingsStore settings;
    private final Commands commands;
    private final LiveEvents live;
    private final EventLog log;
    private final Clock clock;

    IntakeGate(
            MessageStore messages,
            SourceStore sources,
            ThreadStore threads,
            ThreadTurns turns,
            AnswerSeen answerSeen,
            List<FreshMessages> followers,
            SettingsStore settings,
            Commands commands,
            LiveEvents live,
            EventLog log,
            Clock clock) {
        this.messages = messages;
        this.sources = sources;
        this.threads = threads;
        this.turns = turns;
        this.answerSeen = answerSeen;
        this.followers = followers;
        this.settings = settings;
        this.commands = commands;
        this.live = live;
        this.log = log;
        this.clock = clock;
    }

    void decide(
            UUID owner,
            UUID sourceId,
            List<StoredMessage> fresh,
            Set<UUID> touchedThreads,
            boolean everythingToIntake) {
        Instant addedAt = sources.addedAt(owner, sourceId);
        Map<UUID, List<ThreadingRow>> rowsOf = rowsByThread(owner, touchedThreads);
        Map<UUID, ThreadingRow> byId = new HashMap<>();
        rowsOf.values().forEach(rows -> rows.forEach(row -> byId.put(row.id(), row)));
        Set<UUID> notMine = notMine(owner, touchedThreads);
        PastIntake past = new PastIntake(settings.rules(owner));
        List<StoredMessage> waiting = new ArrayList<>();
        for (StoredMessage message : fresh) {
            ThreadingRow row = byId.get(message.id());
            if (row == null) {
                continue;
            }
            List<ThreadingRow> thread = rowsOf.getOrDefault(row.threadId(), List.of());
            if (message.direction() == Direction.OUTGOING) {
                followers.forEach(follower -> follower.mine(owner, message));
                settle(owner, message, row.threadId());
                continue;
            }
            if (message.nature().isPersonal()) {
                followers.forEach(follower -> follower.theirs(owner, message, row.threadId()));
            }
            boolean answered = Settling.isAnswered(row, thread);
            Decision decision = everythingToIntake && !answered
                    ? Decision.UNDECIDED
                    : IntakeStart.of(message.direction(), message.sentAt(), addedAt, answered);
            if (decision == Decision.UNDECIDED && notMine.contains(row.threadId())) {
                letPast(owner, message, "Past Intake, since the thread is not for you: ");
            } else if (decision == Decision.UNDECIDED && past.takes(message)) {
                letPast(
                        owner,
                        message,
                        "Past Intake, as you said of " + message.from().displayName() + ": ");
            } else {
                if (decision != message.decision()) {
                    messages.decide(owner, message.id(), decision, null);
                }
                if (decision == Decision.UNDECIDED) {
                    waiting.add(message);
                    log.arrived(message, row.threadId());
                }
            }
        }
        if (!everythingToIntake && !waiting.isEmpty()) {
            followers.forEach(follower -> follower.waiting(owner, waiting));
        }
        live.changed(owner, List.of(Topic.INTAKE, Topic.THREADS));
    }

    private Set<UUID> notMine(UUID owner, Set<UUID> threadIds) {
        return threadIds.isEmpty()
                ? Set.of()
                : threads.byIds(owner, threadIds).stream()
                        .filter(thread -> thread.attention() == Attention.NOT_MINE)
                        .map(StoredThread::id)
                        .collect(Collectors.toSet());
    }

    /** What the user wants to see nothing of is decided as it arrives; the history says so, and undo brings it back. */
    private void letPast(UUID owner, StoredMessage message, String why) {
        Instant now = clock.instant();
        commands.runWithin(owner, "past-intake", changes -> {
            messages.decide(owner, message.id(), Decision.NOTHING, now);
            changes.record(
                            SubjectType.MESSAGE,
                            message.id(),
                            new DecisionState(Decision.UNDECIDED, null, message.correction(), null),
                            new DecisionState(Decision.NOTHING, now, message.correction(), null))
                    .label(why + message.subject());
        });
    }

    private Map<UUID, List<ThreadingRow>> rowsByThread(UUID owner, Collection<UUID> threadIds) {
        return threadIds.isEmpty()
                ? Map.of()
                : messages.threadingInThreads(owner, List.copyOf(threadIds)).stream()
                        .collect(Collectors.groupingBy(ThreadingRow::threadId));
    }

    /** Takes out of Intake what this answer of mine answers; what I have only promised stays. */
    private void settle(UUID owner, StoredMessage answer, UUID threadId) {
        TurnState state = turns.state(owner, threadId);
        List<StoredMessage> settled =
                Settling.settledBy(answer, messages.undecidedInThread(owner, threadId, answer.sentAt()), state);
        Instant now = clock.instant();
        boolean recent = answer.sentAt().isAfter(now.minus(RECENT));
        if (!settled.isEmpty()) {
            commands.runWithin(owner, "answer-seen", changes -> {
                for (StoredMessage message : settled) {
                    messages.decide(owner, message.id(), Decision.ANSWERED, now);
                    changes.record(
                            SubjectType.MESSAGE,
                            message.id(),
                            DecisionState.of(message),
                            new DecisionState(Decision.ANSWERED, now, message.correction(), null));
                }
                changes.label("Taken out of Intake, since your answer was seen").touch(Topic.INTAKE);
                if (recent) {
                    changes.announce();
                }
            });
        }
        answerSeen.seen(owner, answer, threadId, state, recent);
    }
}
