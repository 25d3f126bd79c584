package org.squallnote.server.invitation;

import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.invitation.Answer;
import org.squallnote.core.invitation.Invitation;
import org.squallnote.core.invitation.Method;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.invitation.Said;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.formats.calendar.ItipReader;
import org.squallnote.server.arrival.CalendarMail;
import org.squallnote.server.command.Commands;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.invitation.InvitationStore;

/**
 * Keeps what mails say of meetings, and lets the calendar follow: a meeting that I have answered and that moves or is called
 * off does so there too. What is out of date changes nothing.
 */
@Component
class SchedulingArrivals implements CalendarMail {

    private static final Logger LOG = LoggerFactory.getLogger(SchedulingArrivals.class);
    private static final int LARGEST = 300_000;
    private static final int LONGEST_SENDER = 320;

    private final InvitationStore store;
    private final InvitationAnswers answers;
    private final Meetings meetings;
    private final WorkingTimes workingTimes;
    private final Outbox outbox;
    private final Commands commands;

    SchedulingArrivals(
            InvitationStore store,
            InvitationAnswers answers,
            Meetings meetings,
            WorkingTimes workingTimes,
            Outbox outbox,
            Commands commands) {
        this.store = store;
        this.answers = answers;
        this.meetings = meetings;
        this.workingTimes = workingTimes;
        this.outbox = outbox;
        this.commands = commands;
    }

    @Override
    public void arrived(UUID owner, StoredMessage message, String calendar, Optional<String> method) {
        if (calendar.length() > LARGEST || message.from().address().length() > LONGEST_SENDER) {
            return;
        }
        read(owner, message, calendar, method).ifPresent(it -> {
            store.insert(owner, it, calendar);
            if (message.direction() == Direction.INCOMING) {
                follow(owner, it, calendar);
            }
        });
    }

    /** Whatever a calendar part says, its mail is taken in. */
    private Optional<Said> read(UUID owner, StoredMessage message, String calendar, Optional<String> method) {
        try {
            return ItipReader.read(calendar, method, workingTimes.of(owner).zone())
                    .map(what -> new Said(message.id(), message.from().address(), what));
        } catch (RuntimeException e) {
            LOG.warn("The calendar part of {} could not be read", message.id(), e);
            return Optional.empty();
        }
    }

    private void follow(UUID owner, Said said, String calendar) {
        Scheduling what = said.what();
        // Who has answered the whole has answered each time of it.
        Optional<Answer> answer =
                store.answerTo(owner, what.uid(), what.recurrenceId()).or(() -> store.answerTo(owner, what.uid(), ""));
        boolean counts = Invitation.of(what.recurrenceId(), store.saidOf(owner, what.uid())).current().stream()
                .anyMatch(current -> current.messageId().equals(said.messageId()));
        if (answer.isEmpty() || !counts) {
            return;
        }
        Optional<Said> answered = store.saidIn(owner, answer.get().messageId());
        boolean same = what.method() == Method.REQUEST
                && answered.filter(before -> before.what().isWhen(what)).isPresent();
        commands.runWithin(owner, "invitation-changed", changes -> {
            Participation participation = same ? answer.get().participation() : Participation.NEEDS_ACTION;
            if (!same && what.recurrenceId().equals(answer.get().recurrenceId())) {
                answers.change(
                        owner,
                        answer.get().id(),
                        what.method() == Method.CANCEL ? null : answer.get().asking(said.messageId()),
                        changes);
            }
            UUID calendarId = answer.get().calendarId();
            Optional<Calendar> into = meetings.writable(owner).stream()
                    .filter(each -> each.id().equals(calendarId))
                    .findFirst();
            into.ifPresent(it -> outbox.addEvent(
                    owner,
                    it.sourceId(),
                    changes.commandId(),
                    InvitationAnswers.about(what),
                    new Payloads.Event(
                            it.id(),
                            what.uid(),
                            null,
                            calendar,
                            what.method() == Method.CANCEL ? null : participation.name()),
                    Duration.ZERO));
            changes.label((what.method() == Method.CANCEL ? "Called off: " : same ? "Changed: " : "Another time now: ")
                    + what.title());
        });
    }
}
