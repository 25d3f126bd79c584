package org.squallnote.server.calendar;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Which calendars there are, and what they count for. */
@RestController
class CalendarsController {

    private final Calendars calendars;

    CalendarsController(Calendars calendars) {
        this.calendars = calendars;
    }

    /**
     * A calendar.
     *
     * @param readAt when it was last seen as it is
     * @param events whether it can hold any
     * @param writable whether events can be written into it
     * @param tasks whether follow-ups can stand in it as tasks
     */
    record CalendarSummary(
            UUID id,
            UUID sourceId,
            String name,
            CalendarUse counts,
            Instant readAt,
            boolean events,
            boolean writable,
            boolean tasks,
            int version) {}

    record CalendarChange(
            @NotBlank @Size(max = 200) String name, @NotNull CalendarUse counts) {}

    @GetMapping("/api/calendars")
    List<CalendarSummary> all(@CurrentAccount SignedIn me) {
        return calendars.all(me).stream()
                .map(each -> new CalendarSummary(
                        each.id(),
                        each.sourceId(),
                        each.name(),
                        each.counts(),
                        each.readAt(),
                        each.takesEvents(),
                        each.isForEvents(),
                        each.isForTasks(),
                        each.version()))
                .toList();
    }

    @PutMapping("/api/calendars/{id}")
    Done change(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody CalendarChange body) {
        return calendars.change(
                me, commandId, id, version, new Calendars.Kept(body.name().strip(), body.counts()));
    }
}
