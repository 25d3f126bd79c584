package org.squallnote.server.thread;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Decision;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.thread.ThreadStore;
import tools.jackson.databind.json.JsonMapper;

/** Decisions about threads by hand. */
@Component
public class Threads implements Restorer {

    private static final Map<CloseReason, String> CLOSED = Map.of(
            CloseReason.ANSWERED, "Closed as answered: ",
            CloseReason.DONE_ELSEWHERE, "Closed as done elsewhere: ",
            CloseReason.NOT_NEEDED, "Closed as not needed: ",
            CloseReason.GIVEN_UP, "Closed as given up: ");

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final ThreadStore store;
    private final MessageStore messages;
    private final Decisions decisions;
    private final ChaseStore chases;
    private final ThreadTurns turns;
    private final EndingOfThread ending;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    Threads(
            ThreadStore store,
            MessageStore messages,
            Decisions decisions,
            ChaseStore chases,
            ThreadTurns turns,
            EndingOfThread ending,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.messages = messages;
        this.decisions = decisions;
        this.chases = chases;
        this.turns = turns;
        this.ending = ending;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /** What can be decided about threads. */
    enum Choice {
        CLOSE,
        NO_REPLY_OWED,
        THEIR_TURN,
        NOT_BEFORE,
        /** It is one of others that I only watch. */
        WATCH,
        /** It is not for me. */
        NOT_MINE,
        OPEN_AGAIN
    }

    /** One decision for some threads. */
    record Wanted(
            Choice choice,
            @Nullable CloseReason reason,
            @Nullable LocalDate day,
            boolean endFollowUps) {

        static Wanted of(Choice choice) {
            return new Wanted(choice, null, null, false);
        }
    }

    /** Decides about threads, with one way back. */
    Done decide(SignedIn me, UUID commandId, List<UUID> ids, Wanted wanted) {
        if (wanted.choice() == Choice.CLOSE && wanted.reason() == null) {
            throw Refusal.field("reason", "Say why they are closed. Nothing was changed.");
        }
        if (wanted.choice() == Choice.NOT_BEFORE && wanted.day() == null) {
            throw Refusal.field("day", "Say until when nobody is to be chased. Nothing was changed.");
        }
        UUID owner = me.accountId();
        Set<UUID> distinct = new LinkedHashSet<>(ids);
        return commands.run(me, commandId, "threads-decided", changes -> {
            List<StoredThread> all = distinct.stream().map(id -> get(owner, id)).toList();
            all.forEach(thread -> decideWithin(owner, thread.id(), decision(thread, wanted), changes));
            if (wanted.choice() == Choice.NOT_MINE) {
                all.forEach(thread -> letPast(me, thread, changes));
            }
            int ended = wanted.endFollowUps()
                    ? all.stream()
                            .mapToInt(thread -> ending.endOfThread(owner, thread.id(), changes))
                            .sum()
                    : 0;
            String which = all.size() == 1 ? all.get(0).subject() : all.size() + " threads";
            changes.label(verb(wanted)
                    + which
                    + (ended == 0 ? "" : ended == 1 ? ". A follow-up is done" : ". " + ended + " follow-ups are done"));
        });
    }

    /** What still waits in Intake of a thread that is not for me goes out of it. */
    private void letPast(SignedIn me, StoredThread thread, Changes changes) {
        messages.undecidedInThread(
                        me.accountId(), thread.id(), thread.lastMessageAt().plusSeconds(1))
                .forEach(message -> decisions.decide(me, message, Decision.NOTHING, false, changes));
    }

    private HandState decision(StoredThread thread, Wanted wanted) {
        Instant now = clock.instant();
        return switch (wanted.choice()) {
            case CLOSE -> HandState.of(thread).decided(Turn.CLOSED, wanted.reason(), now, thread.lastMessageAt());
            case NO_REPLY_OWED -> HandState.of(thread).decided(Turn.NOBODY, null, now, thread.lastMessageAt());
            case THEIR_TURN -> HandState.of(thread).decided(Turn.WITH_OTHERS, null, now, thread.lastMessageAt());
            case NOT_BEFORE -> HandState.of(thread).chasedOn(wanted.day());
            case WATCH -> HandState.of(thread).attended(Attention.WATCHED);
            case NOT_MINE -> HandState.of(thread).attended(Attention.NOT_MINE);
            case OPEN_AGAIN -> HandState.NONE;
        };
    }

    private static String verb(Wanted wanted) {
        return switch (wanted.choice()) {
            case CLOSE -> CLOSED.getOrDefault(wanted.reason(), "Closed: ");
            case NO_REPLY_OWED -> "No reply owed: ";
            case THEIR_TURN -> "With others: ";
            case NOT_BEFORE -> "Not to be chased before " + DAY.format(Objects.requireNonNull(wanted.day())) + ": ";
            case WATCH -> "Only watched: ";
            case NOT_MINE -> "Not for you: ";
            case OPEN_AGAIN -> "Open again: ";
        };
    }

    /** As part of a command that says it in its own words. */
    public void noReplyOwedWithin(UUID owner, UUID id, Changes changes) {
        decideWithin(owner, id, decision(get(owner, id), Wanted.of(Choice.NO_REPLY_OWED)), changes);
    }

    /** Takes a decision back as part of a command. */
    public void openAgainWithin(UUID owner, UUID id, Changes changes) {
        decideWithin(owner, id, HandState.NONE, changes);
    }

    private void decideWithin(UUID owner, UUID id, HandState decision, Changes changes) {
        HandState before = HandState.of(get(owner, id));
        write(owner, id, decision);
        changes.record(SubjectType.THREAD, id, before, HandState.of(get(owner, id)))
                .touch(Topic.THREADS);
    }

    /** Chooses the day on which those awaited in a thread are to be reminded, as part of a command; null for that which follows by itself. */
    public void chaseOnWithin(UUID owner, UUID id, @Nullable LocalDate day, Changes changes) {
        decideWithin(owner, id, HandState.of(get(owner, id)).chasedOn(day), changes);
    }

    private void write(UUID owner, UUID id, HandState decision) {
        store.setHandDecision(owner, id, decision.turn(), decision.reason(), decision.at(), decision.lastKnown());
        chases.setByHand(owner, id, decision.chaseOn());
        store.setAttention(owner, id, Optional.ofNullable(decision.attention()).orElse(Attention.MINE));
        turns.refresh(owner, id);
    }

    /** A thread; refused when it is not there. */
    public StoredThread get(UUID owner, UUID id) {
        return store.byId(owner, id).orElseThrow(() -> Refusal.notFound("thread"));
    }

    @Override
    public SubjectType type() {
        return SubjectType.THREAD;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return store.byId(owner, entry.subjectId()).map(HandState::of).orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        if (entry.before() != null) {
            write(owner, entry.subjectId(), json.readValue(entry.before(), HandState.class));
            changes.touch(Topic.THREADS);
        }
    }
}
