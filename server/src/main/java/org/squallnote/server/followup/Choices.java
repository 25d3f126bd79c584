package org.squallnote.server.followup;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Choice;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** One decision about several follow-ups, with one way back. */
@Component
class Choices {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final FollowUps followUps;
    private final Commands commands;
    private final Clock clock;

    Choices(FollowUps followUps, Commands commands, Clock clock) {
        this.followUps = followUps;
        this.commands = commands;
        this.clock = clock;
    }

    /**
     * Decides about all of them, or about none.
     *
     * @param past whether what is firm may be put off past its date
     */
    Done decide(SignedIn me, UUID commandId, List<UUID> ids, Choice choice, boolean past) {
        String kind = "follow-ups-" + choice.kind().name().toLowerCase(Locale.ROOT);
        return commands.run(me, commandId, kind, changes -> {
            List<FollowUp> all = followUps.get(me.accountId(), ids).stream()
                    .filter(each -> each.state() == FollowUpState.OPEN)
                    .toList();
            check(me, all, choice, past);
            String beside = "";
            for (FollowUp each : all) {
                beside = followUps.changeWithin(
                        me.accountId(), each.id(), now -> choice.applied(now, clock.instant()), changes);
            }
            changes.label(
                    all.size() == 1
                            ? words(choice) + ": " + all.get(0).title() + beside
                            : words(choice) + ": " + all.size() + " follow-ups");
        });
    }

    private void check(SignedIn me, List<FollowUp> all, Choice choice, boolean past) {
        if (all.isEmpty()) {
            throw Refusal.conflict("None of these is open any more. Nothing was changed.");
        }
        if (choice.kind() == Choice.Kind.CATEGORY) {
            followUps.checkCategory(me, choice.categoryId());
        }
        if (choice.kind() != Choice.Kind.PUT_OFF) {
            return;
        }
        LocalDate day = choice.day();
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        if (day == null || !all.get(0).startingOn(day).isLater(today)) {
            throw Refusal.field("day", "Put them off to a day after today. Nothing was changed.");
        }
        long firm = all.stream().filter(each -> each.isPastFirmDate(day)).count();
        if (firm > 0 && !past) {
            throw Refusal.conflict((firm == 1 ? "One of them is" : firm + " of them are")
                    + " firm for an earlier day. Nothing was changed; choose an earlier day, or put them off all the"
                    + " same.");
        }
    }

    private static String words(Choice choice) {
        return switch (choice.kind()) {
            case DONE -> "Done";
            case DROP -> "Dropped";
            case PUT_OFF -> "Put off" + (choice.day() == null ? "" : " until " + DAY.format(choice.day()));
            case REPLY_BY -> choice.day() == null ? "Without a date" : "Reply by " + DAY.format(choice.day());
            case CATEGORY -> "Category changed";
            case PRIORITY -> "Priority changed";
            case PLACE -> "Place changed";
            case PERSON -> "Person changed";
            case EFFORT -> "Effort changed";
        };
    }
}
