package org.squallnote.server.invitation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.invitation.Answer;
import org.squallnote.core.invitation.Invitation;
import org.squallnote.core.invitation.Said;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.formats.calendar.ItipReader;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.invitation.InvitationStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.preference.PreferenceStore;
import org.squallnote.store.source.SourceStore;

/** Finds what is known of the meeting that a message is about. */
@Component
class Meetings {

    /** The calendar that invitations go into, as it was chosen last. */
    static final String CALENDAR = "invitation-calendar";

    private final InvitationStore store;
    private final MessageStore messages;
    private final RawMails rawMails;
    private final CalendarStore calendars;
    private final SourceStore sources;
    private final PreferenceStore preferences;
    private final WorkingTimes workingTimes;

    Meetings(
            InvitationStore store,
            MessageStore messages,
            RawMails rawMails,
            CalendarStore calendars,
            SourceStore sources,
            PreferenceStore preferences,
            WorkingTimes workingTimes) {
        this.store = store;
        this.messages = messages;
        this.rawMails = rawMails;
        this.calendars = calendars;
        this.sources = sources;
        this.preferences = preferences;
        this.workingTimes = workingTimes;
    }

    /**
     * A meeting, seen from a message.
     *
     * @param said what the message says
     * @param body the same as it came
     * @param invitation what all that was said of it leaves
     * @param answer mine, where there is one
     */
    record Known(StoredMessage message, Said said, String body, Invitation invitation, Optional<Answer> answer) {

        Invitation.Standing standing() {
            return invitation.standingOf(message.id());
        }
    }

    /** The meeting; refused where the message is about none. */
    Known of(UUID owner, UUID messageId) {
        StoredMessage message = messages.byId(owner, messageId).orElseThrow(() -> Refusal.notFound("message"));
        Optional<Said> stored = store.saidIn(owner, messageId);
        Optional<ParsedMail> mail = stored.isPresent()
                ? Optional.empty()
                : rawMails.of(owner, messageId).map(raw -> MailParser.parse(raw));
        Said said = stored.or(() -> mail.flatMap(it -> said(owner, message, it)))
                .orElseThrow(() -> Refusal.notFound("invitation"));
        String body = stored.flatMap(it -> store.body(owner, messageId))
                .or(() -> mail.flatMap(ParsedMail::calendar))
                .orElse("");
        List<Said> all = new ArrayList<>(store.saidOf(owner, said.what().uid()));
        if (stored.isEmpty()) {
            all.add(said);
        }
        boolean organizerSaid =
                all.stream().anyMatch(each -> each.what().method().isOfOrganizer());
        if (!organizerSaid) {
            // Of my own meetings my calendar knows who is invited.
            calendars.bodies(owner, said.what().uid()).stream()
                    .flatMap(object ->
                            ItipReader.ofCalendar(object, workingTimes.of(owner).zone()).stream())
                    .map(what -> new Said(new UUID(0, 0), "", what))
                    .forEach(all::add);
        }
        return new Known(
                message,
                said,
                body,
                Invitation.of(said.what().recurrenceId(), all),
                store.answerTo(owner, said.what().uid(), said.what().recurrenceId()));
    }

    private Optional<Said> said(UUID owner, StoredMessage message, ParsedMail mail) {
        return mail.calendar()
                .flatMap(calendar -> ItipReader.read(
                        calendar, mail.calendarMethod(), workingTimes.of(owner).zone()))
                .map(what -> new Said(message.id(), message.from().address(), what));
    }

    /** My addresses, lower case. */
    Set<String> mine(UUID owner) {
        return new TreeSet<>(sources.addresses(owner));
    }

    /** The calendars that can be written into. */
    List<Calendar> writable(UUID owner) {
        Set<UUID> accounts = new TreeSet<>();
        for (Source source : sources.of(owner)) {
            if (source.kind() == SourceKind.CALENDARS && source.removedAt() == null) {
                accounts.add(source.id());
            }
        }
        return calendars.of(owner).stream()
                .filter(calendar -> accounts.contains(calendar.sourceId()) && calendar.isForEvents())
                .toList();
    }

    /** The calendar that a meeting lies in, or else would be put into. */
    Optional<UUID> calendarFor(UUID owner, Known meeting) {
        List<UUID> writable = writable(owner).stream().map(Calendar::id).toList();
        return calendars.holding(owner, meeting.said().what().uid()).stream()
                .filter(writable::contains)
                .findFirst()
                .or(() -> meeting.answer()
                        .flatMap(answer -> Optional.ofNullable(answer.calendarId()))
                        .filter(writable::contains))
                .or(() -> preferences
                        .of(owner, CALENDAR)
                        .filter(id -> !id.isEmpty())
                        .map(UUID::fromString)
                        .filter(writable::contains))
                .or(() -> writable.stream().findFirst());
    }

    /** A calendar to write into; refused where it is none of mine. */
    Calendar calendar(UUID owner, UUID id) {
        return writable(owner).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("calendar"));
    }
}
