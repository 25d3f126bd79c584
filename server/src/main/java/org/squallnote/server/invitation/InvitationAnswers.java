package org.squallnote.server.invitation;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.invitation.Answer;
import org.squallnote.core.invitation.Invitation.Standing;
import org.squallnote.core.invitation.Method;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.formats.calendar.ItipWriter;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.answer.Sending;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.invitation.InvitationStore;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** Answers invitations: by mail to whoever invites (RFC 6047), and in a calendar. */
@Component
class InvitationAnswers extends KeptState<Answer> {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.UK);

    private final InvitationStore store;
    private final Meetings meetings;
    private final Decisions decisions;
    private final Sending sending;
    private final SourceSecrets secrets;
    private final PreferenceStore preferences;
    private final Outbox outbox;
    private final Commands commands;
    private final Clock clock;

    InvitationAnswers(
            InvitationStore store,
            Meetings meetings,
            Decisions decisions,
            Sending sending,
            SourceSecrets secrets,
            PreferenceStore preferences,
            Outbox outbox,
            Commands commands,
            Clock clock,
            JsonMapper json) {
        super(SubjectType.INVITATION, Answer.class, json);
        this.store = store;
        this.meetings = meetings;
        this.decisions = decisions;
        this.sending = sending;
        this.secrets = secrets;
        this.preferences = preferences;
        this.outbox = outbox;
        this.commands = commands;
        this.clock = clock;
    }

    /** Says whether I come. */
    Done answer(
            SignedIn me,
            UUID commandId,
            UUID messageId,
            Participation participation,
            String note,
            @Nullable UUID calendarId) {
        return commands.run(me, commandId, "invitation-answered", changes -> {
            Meetings.Known meeting = answerable(me, messageId);
            Scheduling what = meeting.said().what();
            String verb = verb(participation);
            send(
                    me,
                    meeting,
                    new Letter("REPLY", verb, note),
                    changes,
                    (who, now) -> ItipWriter.reply(meeting.body(), who, participation, note, now));
            Optional<Calendar> calendar =
                    Optional.ofNullable(calendarId).map(each -> meetings.calendar(me.accountId(), each));
            preferences.save(
                    me.accountId(),
                    Meetings.CALENDAR,
                    calendar.map(it -> it.id().toString()).orElse(""));
            UUID id = idOf(me.accountId(), what);
            change(
                    me.accountId(),
                    id,
                    new Answer(
                            id,
                            what.uid(),
                            what.recurrenceId(),
                            participation,
                            messageId,
                            calendar.map(Calendar::id).orElse(null)),
                    changes);
            calendar.ifPresent(into -> outbox.addEvent(
                    me.accountId(),
                    into.sourceId(),
                    commandId,
                    about(what),
                    new Payloads.Event(into.id(), what.uid(), null, meeting.body(), participation.name()),
                    outbox.hold()));
            changes.label(verb + ": " + what.title());
        });
    }

    /** Proposes another time. */
    Done counter(SignedIn me, UUID commandId, UUID messageId, ZonedDateTime from, ZonedDateTime to, String note) {
        return commands.run(me, commandId, "invitation-countered", changes -> {
            if (!from.toInstant().isAfter(clock.instant())) {
                throw Refusal.field("day", "Propose a time that lies ahead. Nothing was sent.");
            }
            Meetings.Known meeting = answerable(me, messageId);
            String words = "I propose " + WHEN.format(from) + " ("
                    + from.getZone().getId() + ") instead." + (note.isBlank() ? "" : "\n\n" + note.strip());
            send(
                    me,
                    meeting,
                    new Letter("COUNTER", "Another time", words),
                    changes,
                    (who, now) -> ItipWriter.counter(meeting.body(), who, from.toInstant(), to.toInstant(), note, now));
            changes.label("Proposed " + WHEN.format(from) + ": "
                    + meeting.said().what().title());
        });
    }

    /** What is sent with the calendar's own words: for people. */
    private record Letter(String method, String verb, String words) {}

    /** Writes the calendar's own words. */
    @FunctionalInterface
    private interface Writing {
        String by(ItipWriter.Answering who, Instant now);
    }

    private Meetings.Known answerable(SignedIn me, UUID messageId) {
        Meetings.Known meeting = meetings.of(me.accountId(), messageId);
        if (meeting.said().what().method() != Method.REQUEST) {
            throw Refusal.invalid(
                    "This message invites to nothing that could be answered. Write to its sender instead.");
        }
        if (meeting.standing() == Standing.CALLED_OFF) {
            throw Refusal.conflict("This meeting was called off. Nothing was sent.");
        }
        if (meeting.standing() == Standing.OUT_OF_DATE) {
            throw Refusal.conflict("This invitation was changed by a later one. Answer that; nothing was sent.");
        }
        if (meeting.said().what().organizer().address().isEmpty()) {
            throw Refusal.invalid(
                    "This invitation does not say whom to answer. Nothing was sent; answer it as any other mail.");
        }
        return meeting;
    }

    private void send(SignedIn me, Meetings.Known meeting, Letter letter, Changes changes, Writing writing) {
        StoredMessage message = meeting.message();
        if (message.decision() == Decision.UNDECIDED) {
            decisions.decide(me, message, Decision.ANSWERED, false, changes);
        }
        Source source = sending.source(me.accountId(), message);
        Set<String> mine = meetings.mine(me.accountId());
        Party from = new Party(secrets.mailSettings(source).fromName(), source.address());
        Instant now = clock.instant();
        Scheduling what = meeting.said().what();
        String identity = changes.commandId() + "@" + Sending.domain(source);
        String words = letter.words().isBlank()
                ? letter.verb() + ": " + what.title() + ", "
                        + WHEN.format(what.fromInclusive().atZone(me.zoneId())) + "."
                : letter.words().strip();
        byte[] raw = new OutgoingMail(
                        identity,
                        from,
                        List.of(what.organizer()),
                        List.of(),
                        List.of(),
                        letter.verb() + ": " + what.title(),
                        words,
                        now.atZone(me.zoneId()),
                        message.messageId().isEmpty() ? Optional.empty() : Optional.of(message.messageId()),
                        Sending.references(message),
                        List.of(),
                        Optional.of(new OutgoingMail.SchedulingPart(
                                letter.method(), writing.by(new ItipWriter.Answering(from, mine), now))),
                        false)
                .toBytes();
        outbox.addMail(source, changes.commandId(), identity, message.id(), raw, outbox.hold());
        changes.touch(Topic.OUTBOX, Topic.INTAKE);
    }

    private static String verb(Participation participation) {
        return switch (participation) {
            case ACCEPTED -> "Accepted";
            case TENTATIVE -> "Tentative";
            case DECLINED -> "Declined";
            case NEEDS_ACTION, DELEGATED -> throw Refusal.invalid("Answer with yes, perhaps or no. Nothing was sent.");
        };
    }

    /** What an event in a calendar is about: the meeting, or one time of it. */
    static String about(Scheduling what) {
        return what.uid() + "\n" + what.recurrenceId();
    }

    /** Several accounts are invited to the same meeting. */
    private static UUID idOf(UUID owner, Scheduling what) {
        String words = owner + "\n" + about(what);
        return UUID.nameUUIDFromBytes(words.getBytes(StandardCharsets.UTF_8));
    }

    @Override
    protected @Nullable Answer state(UUID owner, UUID id) {
        return store.answer(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Answer state) {
        store.deleteAnswer(owner, id);
        if (state != null) {
            store.insertAnswer(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.INTAKE};
    }
}
