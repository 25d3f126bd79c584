package org.squallnote.server.record;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.record.RecordFilter;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Everything that ended, newest first. Nothing in it can be changed, only annotated. */
@RestController
class RecordController {

    private final EndedRecord ended;
    private final RecordNotes notes;

    RecordController(EndedRecord ended, RecordNotes notes) {
        this.ended = ended;
        this.notes = notes;
    }

    /**
     * A page of it.
     *
     * @param from the first day on which it ended, in the account's zone
     * @param to the last one
     * @param kind only follow-ups, or only threads
     * @param person one of the addresses of whoever asked it
     * @param onTime whether it was answered by its date
     * @param before where the page begins, as the page before says in {@code next}
     */
    @GetMapping("/api/record")
    EndedRecord.RecordPage page(
            @CurrentAccount SignedIn me,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable FollowUpState state,
            @RequestParam(required = false) EndedLine.@Nullable Kind kind,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person,
            @RequestParam(required = false) @Nullable Boolean onTime,
            @RequestParam(required = false) @Nullable Instant before,
            @RequestParam(required = false) @Nullable UUID beforeId,
            @RequestParam(defaultValue = "100") @Min(1) @Max(500) int most) {
        RecordFilter filter = new RecordFilter(
                from == null ? null : from.atStartOfDay(me.zoneId()).toInstant(),
                to == null ? null : to.plusDays(1).atStartOfDay(me.zoneId()).toInstant(),
                category,
                state,
                person == null || person.isBlank() ? List.of() : ended.addresses(me, person.strip()));
        EndedRecord.Next at = before == null || beforeId == null ? null : new EndedRecord.Next(before, beforeId);
        return ended.page(me, filter, kind, onTime, at, most);
    }

    record NoteText(@NotNull @Size(max = 4000) String note) {}

    @PutMapping("/api/record/{id}/note")
    Done note(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody NoteText body) {
        return notes.save(me, commandId, id, body.note());
    }
}
