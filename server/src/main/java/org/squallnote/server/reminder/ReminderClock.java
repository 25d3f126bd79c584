package org.squallnote.server.reminder;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.reminder.MeetingTold;
import org.squallnote.core.reminder.Reminder;
import org.squallnote.core.reminder.Wishes;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.preference.KeptWishes;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.preference.PreferenceStore;
import org.squallnote.store.reminder.ReminderStore;

/**
 * Lets reminders come up when they are due. That one has come up is written together with the mail that tells of it, so
 * that a restart neither forgets nor repeats one.
 */
@Component
public class ReminderClock {

    private static final Logger LOG = LoggerFactory.getLogger(ReminderClock.class);
    private static final String MORNING = "morning-mail-sent";
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);

    private final AccountStore accounts;
    private final ReminderStore store;
    private final FollowUpStore followUps;
    private final PreferenceStore preferences;
    private final KeptWishes wishes;
    private final Calendars calendars;
    private final WorkingTimes workingTimes;
    private final NotesToMyself notes;
    private final DayWords dayWords;
    private final OwnerLocks locks;
    private final LiveEvents live;
    private final Clock clock;

    ReminderClock(
            AccountStore accounts,
            ReminderStore store,
            FollowUpStore followUps,
            PreferenceStore preferences,
            KeptWishes wishes,
            Calendars calendars,
            WorkingTimes workingTimes,
            NotesToMyself notes,
            DayWords dayWords,
            OwnerLocks locks,
            LiveEvents live,
            Clock clock) {
        this.accounts = accounts;
        this.store = store;
        this.followUps = followUps;
        this.preferences = preferences;
        this.wishes = wishes;
        this.calendars = calendars;
        this.workingTimes = workingTimes;
        this.notes = notes;
        this.dayWords = dayWords;
        this.locks = locks;
        this.live = live;
        this.clock = clock;
    }

    /** Looks what is due now. */
    @Scheduled(initialDelay = 2_000, fixedDelayString = "${squallnote.reminders.every:10000}")
    public void look() {
        for (UUID owner : store.owners()) {
            try {
                accounts.byId(owner).ifPresent(this::look);
            } catch (RuntimeException e) {
                LOG.warn("The reminders of {} could not be looked at", owner, e);
            }
        }
    }

    private void look(Account account) {
        UUID owner = account.id();
        Wishes wanted = wishes.of(owner);
        List<Reminder> waiting = store.waiting(owner);
        Instant now = clock.instant();
        WorkingTime workingTime = workingTimes.of(owner);
        if (!waiting.isEmpty()) {
            Map<UUID, FollowUp> open = new HashMap<>();
            followUps.open(owner).forEach(each -> open.put(each.id(), each));
            for (Reminder reminder : waiting) {
                FollowUp followUp = open.get(reminder.followUpId());
                if (followUp != null && isDue(reminder, followUp, workingTime, now)) {
                    locks.write(owner, () -> show(owner, reminder, followUp, wanted, now));
                }
            }
        }
        if (wanted.minutesBeforeMeetings() > 0) {
            tellOfMeetings(owner, wanted, now, workingTime.zone());
        }
        LocalDateTime local = LocalDateTime.ofInstant(now, workingTime.zone());
        if (wanted.isMorning(local, workingTime)) {
            sendMorningMail(account, local.toLocalDate().toString());
        }
    }

    private boolean isDue(Reminder reminder, FollowUp followUp, WorkingTime workingTime, Instant now) {
        Optional<Instant> answered = reminder.kind() == Reminder.Kind.ANSWERED
                ? store.answeredAfter(followUp.owner(), followUp.id(), reminder.setAt())
                : Optional.empty();
        return reminder.due(followUp, answered, workingTime)
                .filter(due -> !due.isAfter(now))
                .isPresent();
    }

    private void show(UUID owner, Reminder reminder, FollowUp followUp, Wishes wanted, Instant now) {
        if (store.show(owner, reminder.id(), now) == 0) {
            return;
        }
        if (wanted.byMail()) {
            String why = reminder.kind() == Reminder.Kind.ANSWERED ? "Somebody has answered: " : "Reminder: ";
            notes.send(owner, reminder.id(), why + followUp.title(), followUp.note());
        }
        live.changed(owner, Set.of(Topic.REMINDERS));
    }

    private void tellOfMeetings(UUID owner, Wishes wanted, Instant now, ZoneId zone) {
        Instant until = now.plus(Duration.ofMinutes(wanted.minutesBeforeMeetings()));
        LocalDate today = LocalDate.ofInstant(now, zone);
        Set<UUID> takingTime = calendars.takingTime(owner);
        for (Meeting meeting :
                calendars.days(owner, today, LocalDate.ofInstant(until, zone)).meetings()) {
            boolean soon = !meeting.allDay()
                    && meeting.opaque()
                    && takingTime.contains(meeting.calendarId())
                    && !meeting.fromInclusive().isBefore(now)
                    && !meeting.fromInclusive().isAfter(until);
            if (soon) {
                locks.write(owner, () -> tell(owner, meeting, wanted, zone));
            }
        }
    }

    private void tell(UUID owner, Meeting meeting, Wishes wanted, ZoneId zone) {
        MeetingTold told = new MeetingTold(meeting.uid(), meeting.fromInclusive(), meeting.title(), meeting.place());
        if (store.tell(owner, told) == 0) {
            return;
        }
        store.forgetMeetingsBefore(owner, meeting.fromInclusive().minus(Duration.ofDays(2)));
        if (wanted.byMail()) {
            String at = TIME.format(LocalDateTime.ofInstant(meeting.fromInclusive(), zone));
            UUID id = UUID.nameUUIDFromBytes(
                    (owner + meeting.uid() + meeting.fromInclusive()).getBytes(StandardCharsets.UTF_8));
            notes.send(owner, id, at + ": " + meeting.title(), meeting.place());
        }
        live.changed(owner, Set.of(Topic.REMINDERS));
    }

    /** @param mark of the day for which it is */
    private void sendMorningMail(Account account, String mark) {
        if (preferences.of(account.id(), MORNING).filter(mark::equals).isPresent()) {
            return;
        }
        SignedIn me = new SignedIn(account.id(), account.name(), account.zone(), account.administrator());
        String words = dayWords.today(me);
        locks.write(account.id(), () -> {
            preferences.save(account.id(), MORNING, mark);
            UUID id = UUID.nameUUIDFromBytes((account.id() + mark).getBytes(StandardCharsets.UTF_8));
            notes.send(account.id(), id, "Today, " + mark, words);
        });
    }
}
