package org.squallnote.server.invitation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.invitation.Invitation.Standing;
import org.squallnote.core.invitation.Method;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.message.Party;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.MeetingView;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Invitations to meetings. */
@RestController
class InvitationController {

    private final Meetings meetings;
    private final DaysAround days;
    private final InvitationAnswers answers;

    InvitationController(Meetings meetings, DaysAround days, InvitationAnswers answers) {
        this.meetings = meetings;
        this.days = days;
        this.answers = answers;
    }

    /** Somebody who is invited. */
    record AttendeeView(String name, String address, Participation participation, boolean optional, boolean me) {}

    /** A calendar that it can be put into. */
    record CalendarChoice(UUID id, String name) {}

    /**
     * The day of a meeting without the meeting itself.
     *
     * @param fromMinute when the meeting begins, in minutes of the day
     * @param workFrom when work begins, in minutes of the day; the same as its end on a day off
     * @param freeMinutes what is free of the day
     * @param takesMinutes what of that the meeting would take
     * @param collides what it would collide with
     */
    record DayAround(
            LocalDate day,
            int fromMinute,
            int toMinute,
            int workFrom,
            int workTo,
            List<MeetingView> meetings,
            int freeMinutes,
            int takesMinutes,
            List<String> collides) {}

    /**
     * A meeting as a message about it shows it, in the reader's zone.
     *
     * @param standing what the message is worth now
     * @param newerMessageId the message that counts in its place
     * @param mine whether I have invited to it
     * @param lastDay the day on which it ends, a whole day included
     * @param answer what I have answered
     * @param canAnswer whether it can be answered by this message
     * @param calendarId the calendar that it is in, or would be put into
     */
    record InvitationView(
            Method method,
            Standing standing,
            @Nullable UUID newerMessageId,
            String title,
            String place,
            Party organizer,
            boolean mine,
            LocalDate day,
            LocalTime from,
            LocalDate lastDay,
            LocalTime to,
            boolean allDay,
            boolean past,
            boolean repeats,
            String comment,
            List<AttendeeView> attendees,
            @Nullable Participation answer,
            boolean canAnswer,
            DayAround around,
            List<CalendarChoice> calendars,
            @Nullable UUID calendarId) {}

    record AnswerForm(
            @NotNull Participation participation,
            @Size(max = 1000) String note,
            @Nullable UUID calendarId) {}

    record CounterForm(
            @NotNull LocalDate day,
            @NotNull LocalTime from,
            @Min(5) @Max(1440) int minutes,
            @Size(max = 1000) String note) {}

    @GetMapping("/api/messages/{id}/invitation")
    InvitationView invitation(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        UUID owner = me.accountId();
        Meetings.Known meeting = meetings.of(owner, id);
        Scheduling what = meeting.said().what();
        var mine = meetings.mine(owner);
        ZonedDateTime from = what.fromInclusive().atZone(me.zoneId());
        ZonedDateTime to = what.toExclusive().atZone(me.zoneId());
        boolean own = mine.contains(what.organizer().address());
        return new InvitationView(
                what.method(),
                meeting.standing(),
                meeting.invitation()
                        .current()
                        .map(current -> current.messageId())
                        .filter(newer -> !newer.equals(id) && newer.getMostSignificantBits() != 0)
                        .orElse(null),
                what.title(),
                what.place(),
                what.organizer(),
                own,
                from.toLocalDate(),
                from.toLocalTime(),
                what.allDay() ? to.toLocalDate().minusDays(1) : to.toLocalDate(),
                to.toLocalTime(),
                what.allDay(),
                days.isOver(what),
                what.repeats(),
                what.comment(),
                meeting.invitation().attendees().stream()
                        .map(each -> new AttendeeView(
                                each.party().name(),
                                each.party().address(),
                                each.participation(),
                                each.optional(),
                                mine.contains(each.party().address())))
                        .toList(),
                meeting.answer().map(answer -> answer.participation()).orElse(null),
                what.method() == Method.REQUEST && meeting.standing() == Standing.CURRENT && !own,
                days.of(me, what),
                meetings.writable(owner).stream()
                        .map(each -> new CalendarChoice(each.id(), each.name()))
                        .toList(),
                meetings.calendarFor(owner, meeting).orElse(null));
    }

    /** Says whether I come. */
    @PostMapping("/api/messages/{id}/invitation/answer")
    Done answer(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody AnswerForm body) {
        return answers.answer(me, commandId, id, body.participation(), body.note(), body.calendarId());
    }

    /** Proposes another time. */
    @PostMapping("/api/messages/{id}/invitation/counter")
    Done counter(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody CounterForm body) {
        ZonedDateTime from = body.day().atTime(body.from()).atZone(me.zoneId());
        return answers.counter(me, commandId, id, from, from.plusMinutes(body.minutes()), body.note());
    }
}
