package org.squallnote.server.source.calendar;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.source.BoundedProbe;
import org.squallnote.server.source.Destinations;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.ProbeStep;
import org.squallnote.sources.calendar.CalendarAccess;
import org.squallnote.sources.calendar.CalendarProbe;

/** The settings of calendars on servers. */
@RestController
class CalendarSourceController {

    private final Sources sources;
    private final CalendarSources calendars;
    private final Destinations destinations;
    private final Reaches reaches;
    private final BoundedProbe tests;

    CalendarSourceController(
            Sources sources,
            CalendarSources calendars,
            Destinations destinations,
            Reaches reaches,
            BoundedProbe tests) {
        this.sources = sources;
        this.calendars = calendars;
        this.destinations = destinations;
        this.reaches = reaches;
        this.tests = tests;
    }

    record CalendarForm(
            @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 2000) String address,
            @Size(max = 320) String user,
            @Size(max = 1000) String password) {

        CalendarAccess access() {
            return new CalendarAccess(address.strip(), user.strip(), password);
        }
    }

    record CalendarSourceChange(
            @NotBlank @Size(max = 200) String name,
            @Size(max = 1000) String password) {}

    record CalendarTestResult(boolean passed, List<ProbeStep> steps) {}

    @PostMapping("/api/sources/calendar/test")
    CompletableFuture<CalendarTestResult> testCalendar(
            @CurrentAccount SignedIn me, @Valid @RequestBody CalendarForm form) {
        check(me, form);
        return tests.run(() -> {
            CalendarProbe.Result result = CalendarProbe.run(form.access(), reaches.of(me.accountId()));
            return new CalendarTestResult(result.passed(), result.steps());
        });
    }

    @PostMapping("/api/sources/calendar/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    CompletableFuture<Done> addCalendar(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody CalendarForm form) {
        check(me, form);
        return tests.run(() -> CalendarProbe.run(form.access(), reaches.of(me.accountId())))
                .thenApply(result -> addTested(me, commandId, id, form, result));
    }

    private Done addTested(SignedIn me, UUID commandId, UUID id, CalendarForm form, CalendarProbe.Result result) {
        if (!result.passed()) {
            throw Refusal.invalid(
                    result.steps().get(result.steps().size() - 1).detail() + " The calendar was not added.");
        }
        return calendars.add(me, commandId, common(id, form.name()), form.access());
    }

    @PutMapping("/api/sources/calendar/{id}")
    Done changeCalendar(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody CalendarSourceChange form) {
        sources.get(me, id, SourceKind.CALENDARS);
        return calendars.change(me, commandId, common(id, form.name()), version, form.password());
    }

    private static Sources.Common common(UUID id, String name) {
        return new Sources.Common(id, name.strip(), 1, ArchiveRule.NEVER);
    }

    private void check(SignedIn me, CalendarForm form) {
        try {
            destinations.check(me, form.access().uri().getHost(), "address");
        } catch (IllegalArgumentException e) {
            throw Refusal.field("address", String.valueOf(e.getMessage()));
        }
    }
}
