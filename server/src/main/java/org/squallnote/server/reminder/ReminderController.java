package org.squallnote.server.reminder;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.reminder.MeetingTold;
import org.squallnote.core.reminder.Quiet;
import org.squallnote.core.reminder.Reminder;
import org.squallnote.core.reminder.TypedReminder;
import org.squallnote.core.reminder.Wishes;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.preference.KeptWishes;

/** Reminders, and how somebody wants them. */
@RestController
class ReminderController {

    private final Reminders reminders;
    private final ComingUp comingUp;
    private final KeptWishes wishes;

    ReminderController(Reminders reminders, ComingUp comingUp, KeptWishes wishes) {
        this.reminders = reminders;
        this.comingUp = comingUp;
        this.wishes = wishes;
    }

    /** A reminder that has come up. */
    record DueReminder(UUID id, UUID followUpId, String title, boolean answered, int version, Instant shownAt) {}

    /** What has come up, and which meetings are about to begin. */
    record RemindersView(List<DueReminder> due, List<MeetingTold> meetings) {}

    /** A reminder of a follow-up in words. */
    record ReminderLine(UUID id, String words, boolean shown) {}

    record ReminderForm(
            @NotBlank @Size(max = TypedReminder.LONGEST) String words) {}

    /** What words say in full; empty when they say no reminder. */
    record ReadReminder(String words) {}

    record MeetingForm(
            @NotBlank @Size(max = 500) String uid, @NotNull Instant startsAt) {}

    /**
     * How somebody wants to be reminded.
     *
     * @param sittings when they look at what has come; none for at all times
     */
    record ReminderWishes(
            @Min(0) @Max(240) int minutesBeforeMeetings,
            boolean byMail,
            @Nullable LocalTime morningMailAt,
            @NotNull @Size(max = 12) List<@NotNull LocalTime> sittings,
            boolean quietWhileWorking,
            @NotNull @Size(max = 100) List<@NotBlank @Size(max = 320) String> fromPeople,
            @NotNull @Size(max = 100) List<@NotBlank @Size(max = 60) String> words) {

        static ReminderWishes of(Wishes wishes) {
            return new ReminderWishes(
                    wishes.minutesBeforeMeetings(),
                    wishes.byMail(),
                    wishes.morningMailAt(),
                    wishes.quiet().sittings(),
                    wishes.quiet().whileWorking(),
                    wishes.quiet().fromPeople(),
                    wishes.quiet().words());
        }

        Wishes wishes() {
            return new Wishes(
                    minutesBeforeMeetings,
                    byMail,
                    morningMailAt,
                    new Quiet(sittings, quietWhileWorking, lower(fromPeople), lower(words)));
        }

        private static List<String> lower(List<String> all) {
            return all.stream()
                    .map(each -> each.strip().toLowerCase(Locale.ROOT))
                    .distinct()
                    .toList();
        }
    }

    @GetMapping("/api/reminders")
    RemindersView due(@CurrentAccount SignedIn me) {
        return comingUp.of(me);
    }

    @GetMapping("/api/follow-ups/{id}/reminders")
    List<ReminderLine> of(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return reminders.of(me.accountId(), id).stream()
                .filter(each -> !each.settled())
                .map(each -> new ReminderLine(each.id(), words(me, each), each.shownAt() != null))
                .toList();
    }

    private static String words(SignedIn me, Reminder reminder) {
        return TypedReminder.words(
                reminder.kind(),
                Optional.ofNullable(reminder.at())
                        .map(at -> LocalDateTime.ofInstant(at, me.zoneId()))
                        .orElse(null),
                reminder.minutesBefore());
    }

    /** Understands a reminder while it is typed. */
    @PostMapping("/api/reminders/read")
    ReadReminder read(@CurrentAccount SignedIn me, @Valid @RequestBody ReminderForm body) {
        return new ReadReminder(reminders
                .read(me.accountId(), body.words())
                .map(typed -> TypedReminder.words(typed.kind(), typed.at(), typed.minutesBefore()))
                .orElse(""));
    }

    @PostMapping("/api/follow-ups/{id}/reminders/{reminderId}")
    Done set(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID reminderId,
            @Valid @RequestBody ReminderForm body) {
        return reminders.set(me, commandId, id, reminderId, body.words());
    }

    @DeleteMapping("/api/reminders/{id}")
    Done remove(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return reminders.remove(me, commandId, id);
    }

    @PostMapping("/api/reminders/{id}/put-off")
    Done putOff(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody ReminderForm body) {
        return reminders.putOff(me, commandId, id, body.words());
    }

    @PostMapping("/api/reminders/{id}/settle")
    Done settle(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return reminders.settle(me, commandId, id);
    }

    @PostMapping("/api/reminders/meetings/settle")
    Done settleMeeting(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody MeetingForm body) {
        return reminders.settleMeeting(me, commandId, body.uid(), body.startsAt());
    }

    @GetMapping("/api/settings/reminders")
    ReminderWishes wishes(@CurrentAccount SignedIn me) {
        return ReminderWishes.of(wishes.of(me.accountId()));
    }

    @PutMapping("/api/settings/reminders")
    Done save(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ReminderWishes body) {
        return wishes.save(me, commandId, body.wishes());
    }
}
