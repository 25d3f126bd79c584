package org.squallnote.server.intake;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.intake.PastIntake;
import org.squallnote.core.intake.PutOff;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.DecisionState;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.correction.PartyRules;
import org.squallnote.server.correction.ReadAgain;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Archiving;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.history.HistoryStore;
import org.squallnote.store.message.MessageStore;
import tools.jackson.databind.json.JsonMapper;

/** Decides messages, and takes decisions back. */
@Component
public class Decisions implements Restorer {

    private static final DateTimeFormatter LABEL_DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final MessageStore messages;
    private final Commands commands;
    private final Archiving archiving;
    private final ReadAgain readAgain;
    private final PartyRules rules;
    private final HistoryStore history;
    private final Clock clock;
    private final JsonMapper json;

    Decisions(
            MessageStore messages,
            Commands commands,
            Archiving archiving,
            ReadAgain readAgain,
            PartyRules rules,
            HistoryStore history,
            Clock clock,
            JsonMapper json) {
        this.messages = messages;
        this.commands = commands;
        this.archiving = archiving;
        this.readAgain = readAgain;
        this.rules = rules;
        this.history = history;
        this.clock = clock;
        this.json = json;
    }

    Done nothing(SignedIn me, UUID commandId, UUID messageId) {
        return commands.run(me, commandId, "nothing-to-do", changes -> {
            StoredMessage message = decide(me, messageId, Decision.NOTHING, false, changes);
            changes.label("Nothing to do: " + message.from().displayName() + ", " + message.subject());
        });
    }

    /**
     * Nothing to do about this message and everything like it, now and from now on.
     *
     * @param subject whether what is like it has a subject like this, and not the same sender or list
     */
    Done nothingAlways(SignedIn me, UUID commandId, UUID messageId, boolean subject) {
        return commands.run(me, commandId, "nothing-always", changes -> {
            StoredMessage message = get(me.accountId(), messageId);
            Optional<String> pattern = subject ? Optional.of(pattern(message)) : Optional.empty();
            rules.letPast(
                    me.accountId(),
                    pattern.map(text -> PartyRule.SUBJECT + text).orElse(message.party()),
                    changes);
            List<StoredMessage> waiting = pattern.map(text -> messages.undecidedLike(me.accountId(), text))
                    .orElseGet(() -> messages.undecidedFrom(me.accountId(), message.party()));
            waiting.forEach(each -> decide(me, each, Decision.NOTHING, false, changes));
            String from = message.listAddress() == null ? message.from().displayName() : message.listAddress();
            changes.label("Past Intake from now on: "
                    + pattern.map(text -> "subjects like “" + message.subject() + "”")
                            .orElse("everything from " + from)
                    + (waiting.size() > 1 ? "; " + waiting.size() + " were waiting" : ""));
        });
    }

    private static String pattern(StoredMessage message) {
        return PastIntake.patternOf(message)
                .orElseThrow(() ->
                        Refusal.invalid("This message has no subject that others could be like. Nothing was changed."));
    }

    /** Puts a message back into Intake as part of a command. */
    public StoredMessage backWithin(UUID owner, UUID messageId, Changes changes) {
        StoredMessage message = get(owner, messageId);
        note(owner, message, Decision.UNDECIDED, null, changes);
        return message;
    }

    /** Something else has settled a message; nothing of it is put away anywhere. */
    public void settledElsewhere(UUID owner, StoredMessage message, Decision decision, Changes changes) {
        note(owner, message, decision, clock.instant(), changes);
    }

    /** The kind of the command that changed a message last; absent where none did. */
    public Optional<String> lastDecidedBy(UUID owner, UUID messageId) {
        return history.lastKindOf(owner, SubjectType.MESSAGE, messageId);
    }

    Done backToIntake(SignedIn me, UUID commandId, UUID messageId) {
        return commands.run(me, commandId, "back-to-intake", changes -> {
            StoredMessage message = backWithin(me.accountId(), messageId, changes);
            changes.label("Back in Intake: " + message.subject());
        });
    }

    /**
     * Decides a message as part of a command. A message that two windows decide is decided once; the second one is told.
     *
     * @param followUpOpen whether an open follow-up comes of it
     */
    public StoredMessage decide(SignedIn me, UUID messageId, Decision decision, boolean followUpOpen, Changes changes) {
        StoredMessage message = get(me.accountId(), messageId);
        decide(me, message, decision, followUpOpen, changes);
        return message;
    }

    /** The same of a message that was read within the command. */
    public void decide(SignedIn me, StoredMessage message, Decision decision, boolean followUpOpen, Changes changes) {
        refuseWhenDecided(message, decision);
        note(me.accountId(), message, decision, clock.instant(), changes);
        archiving.decided(message, changes.commandId(), followUpOpen);
    }

    /** Decides one otherwise than before, since its follow-up goes another way. */
    public StoredMessage decideAgain(SignedIn me, UUID messageId, Decision decision, Changes changes) {
        StoredMessage message = get(me.accountId(), messageId);
        note(me.accountId(), message, decision, clock.instant(), changes);
        archiving.decided(message, changes.commandId(), false);
        return message;
    }

    Done putOff(SignedIn me, UUID commandId, UUID messageId, LocalDate until) {
        return commands.run(me, commandId, "put-off", changes -> {
            StoredMessage message = get(me.accountId(), messageId);
            putOff(me, message, until, changes);
            changes.label("Put off until " + LABEL_DAY.format(until) + ": " + message.subject());
        });
    }

    /** Takes an undecided message out of Intake until a day, as part of a command. */
    public void putOff(SignedIn me, StoredMessage message, LocalDate until, Changes changes) {
        refuseWhenDecided(message, Decision.UNDECIDED);
        PutOff.check(until, LocalDate.ofInstant(clock.instant(), me.zoneId()));
        messages.putOff(me.accountId(), message.id(), until);
        changes.record(
                        SubjectType.MESSAGE,
                        message.id(),
                        DecisionState.of(message),
                        new DecisionState(message.decision(), message.decidedAt(), message.correction(), until))
                .touch(Topic.INTAKE);
    }

    /** Whether a decision about the message would come too late, since another window has decided it. */
    public static boolean isDecided(StoredMessage message) {
        return message.decision() != Decision.UNDECIDED && message.decision() != Decision.NOT_ASKED;
    }

    private static void refuseWhenDecided(StoredMessage message, Decision decision) {
        boolean again = decision == Decision.FOLLOW_UP || decision == Decision.ANSWERED;
        if (isDecided(message) && !again) {
            throw Refusal.conflict("This message was decided in another window already. Nothing was changed.");
        }
    }

    /** The message, which has to be there. */
    public StoredMessage get(UUID owner, UUID messageId) {
        return messages.byId(owner, messageId).orElseThrow(() -> Refusal.notFound("message"));
    }

    private void note(UUID owner, StoredMessage message, Decision decision, @Nullable Instant at, Changes changes) {
        messages.decide(owner, message.id(), decision, at);
        changes.record(
                        SubjectType.MESSAGE,
                        message.id(),
                        DecisionState.of(message),
                        new DecisionState(decision, at, message.correction(), null))
                .touch(Topic.INTAKE, Topic.THREADS);
    }

    @Override
    public SubjectType type() {
        return SubjectType.MESSAGE;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return messages.byId(owner, entry.subjectId()).map(DecisionState::of).orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        if (entry.before() != null) {
            DecisionState before = json.readValue(entry.before(), DecisionState.class);
            messages.decide(owner, entry.subjectId(), before.decision(), before.at());
            if (before.putOffUntil() != null) {
                messages.putOff(owner, entry.subjectId(), before.putOffUntil());
            }
            boolean corrected = messages.byId(owner, entry.subjectId())
                    .filter(message -> message.correction() != before.correction())
                    .isPresent();
            if (corrected) {
                readAgain.correct(owner, entry.subjectId(), before.correction());
            }
            changes.touch(Topic.INTAKE, Topic.THREADS);
        }
    }
}
