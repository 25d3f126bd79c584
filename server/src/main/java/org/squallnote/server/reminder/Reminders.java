package org.squallnote.server.reminder;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.reminder.Reminder;
import org.squallnote.core.reminder.TypedReminder;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.reminder.ReminderStore;
import tools.jackson.databind.json.JsonMapper;

/** Sets reminders, puts them off and sees to them. */
@Component
class Reminders extends KeptState<Reminder> {

    /** Nobody is reminded of one thing more often. */
    private static final int MOST_OF_ONE = 20;

    private final ReminderStore store;
    private final FollowUpStore followUps;
    private final WorkingTimes workingTimes;
    private final Commands commands;
    private final Clock clock;

    Reminders(
            ReminderStore store,
            FollowUpStore followUps,
            WorkingTimes workingTimes,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        super(SubjectType.REMINDER, Reminder.class, json);
        this.store = store;
        this.followUps = followUps;
        this.workingTimes = workingTimes;
        this.commands = commands;
        this.clock = clock;
    }

    /** What words say; absent when they say no reminder. */
    Optional<TypedReminder> read(UUID owner, String words) {
        return TypedReminder.read(words, workingTimes.typing(owner, clock.instant()));
    }

    Done set(SignedIn me, UUID commandId, UUID followUpId, UUID id, String words) {
        return commands.run(me, commandId, "reminder", changes -> {
            FollowUp followUp = open(me, followUpId);
            TypedReminder typed = typed(me, words);
            if (typed.kind() == Reminder.Kind.BEFORE && followUp.replyBy().isEmpty()) {
                throw Refusal.field(
                        "words", "This follow-up has no date that it could come before. Nothing was changed.");
            }
            if (store.ofFollowUp(me.accountId(), followUpId).size() >= MOST_OF_ONE) {
                throw Refusal.field("words", "It has twenty reminders already. Nothing was changed.");
            }
            if (store.byId(me.accountId(), id).isPresent()) {
                throw Refusal.conflict("This reminder is there already. Nothing was changed.");
            }
            change(
                    me.accountId(),
                    id,
                    new Reminder(
                            id,
                            followUpId,
                            typed.kind(),
                            moment(me, typed),
                            typed.minutesBefore(),
                            typed.always(),
                            clock.instant(),
                            null,
                            false),
                    changes);
            changes.label("Reminder " + TypedReminder.words(typed.kind(), typed.at(), typed.minutesBefore()) + ": "
                    + followUp.title());
        });
    }

    private FollowUp open(SignedIn me, UUID followUpId) {
        FollowUp followUp = followUps.byId(me.accountId(), followUpId).orElseThrow(() -> Refusal.notFound("follow-up"));
        if (followUp.state() != FollowUpState.OPEN) {
            throw Refusal.conflict("This follow-up has ended. Open it again to be reminded of it.");
        }
        return followUp;
    }

    private TypedReminder typed(SignedIn me, String words) {
        return read(me.accountId(), words)
                .orElseThrow(() -> Refusal.field(
                        "words",
                        "“" + words + "” says no time ahead. Try “tomorrow 9”, “in 20 min”, “1 hour before” or “when"
                                + " somebody answers”. Nothing was changed."));
    }

    private static @Nullable Instant moment(SignedIn me, TypedReminder typed) {
        LocalDateTime at = typed.at();
        return at == null ? null : at.atZone(me.zoneId()).toInstant();
    }

    Done remove(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "reminder-removed", changes -> {
            get(me, id);
            change(me.accountId(), id, null, changes);
            changes.label("No reminder");
        });
    }

    Done putOff(SignedIn me, UUID commandId, UUID id, String words) {
        return commands.run(me, commandId, "reminder-put-off", changes -> {
            Reminder reminder = get(me, id);
            TypedReminder typed = typed(me, words);
            Instant at = moment(me, typed);
            if (at == null) {
                throw Refusal.field("words", "Put it off until a time. Nothing was changed.");
            }
            change(me.accountId(), id, reminder.putOff(at), changes);
            changes.label(
                    "Reminder put off until " + TypedReminder.words(typed.kind(), typed.at(), typed.minutesBefore()));
        });
    }

    Done settle(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "reminder-settled", changes -> {
            change(me.accountId(), id, get(me, id).seenTo(), changes);
            changes.label("Reminder seen to");
        });
    }

    /** A meeting of which was told is not told of any more. */
    Done settleMeeting(SignedIn me, UUID commandId, String uid, Instant startsAt) {
        return commands.run(me, commandId, "meeting-told-settled", changes -> {
            if (store.settleMeeting(me.accountId(), uid, startsAt) == 0) {
                throw Refusal.notFound("meeting");
            }
            changes.label("Seen");
            changes.touch(Topic.REMINDERS);
        });
    }

    List<Reminder> of(UUID owner, UUID followUpId) {
        if (followUps.byId(owner, followUpId).isEmpty()) {
            throw Refusal.notFound("follow-up");
        }
        return store.ofFollowUp(owner, followUpId);
    }

    private Reminder get(SignedIn me, UUID id) {
        return store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("reminder"));
    }

    @Override
    protected @Nullable Reminder state(UUID owner, UUID id) {
        return store.byId(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Reminder state) {
        store.delete(owner, id);
        if (state != null) {
            store.insert(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.REMINDERS};
    }
}
