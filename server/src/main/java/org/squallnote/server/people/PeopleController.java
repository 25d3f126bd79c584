package org.squallnote.server.people;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.people.Talk;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** People; each is named by one of their addresses. */
@RestController
class PeopleController {

    private final People people;
    private final KeptAddresses addresses;
    private final KeptNotes notes;

    PeopleController(People people, KeptAddresses addresses, KeptNotes notes) {
        this.people = people;
        this.addresses = addresses;
        this.notes = notes;
    }

    record MergeForm(@NotBlank @Size(max = 320) String into) {}

    /** @param was what stood there when it was written */
    record NoteForm(
            @NotNull @Size(max = 20_000) String note,
            @NotNull @Size(max = 20_000) String was) {}

    record MatterForm(@NotNull @Size(max = 500) String text, boolean done) {}

    /** @param q words of a name or an address; empty for those heard of last */
    @GetMapping("/api/people")
    List<People.PersonLine> all(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "") @Size(max = 500) String q,
            @RequestParam(defaultValue = "100") @Min(1) @Max(500) int most) {
        return people.list(me, q, most);
    }

    /** @param id any of their addresses */
    @GetMapping("/api/people/{id}")
    People.PersonView one(@CurrentAccount SignedIn me, @PathVariable @Size(max = 320) String id) {
        return people.one(me, lower(id));
    }

    /** This one and another are one person from now on. */
    @PostMapping("/api/people/{id}/merge")
    Done merge(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable @Size(max = 320) String id,
            @Valid @RequestBody MergeForm body) {
        return addresses.merge(me, commandId, lower(id), lower(body.into()));
    }

    /** An address is a person of its own again. */
    @PostMapping("/api/people/{id}/split")
    Done split(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable @Size(max = 320) String id) {
        return addresses.split(me, commandId, lower(id));
    }

    @PutMapping("/api/people/{id}/note")
    Done note(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable @Size(max = 320) String id,
            @Valid @RequestBody NoteForm body) {
        return notes.note(me, commandId, lower(id), body.note(), body.was());
    }

    /** Writes a matter for the next talk down, or changes it. */
    @PutMapping("/api/people/{id}/talk/{matterId}")
    Done matter(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable @Size(max = 320) String id,
            @PathVariable UUID matterId,
            @Valid @RequestBody MatterForm body) {
        return notes.matter(me, commandId, lower(id), new Talk.Item(matterId, body.text(), body.done()));
    }

    @DeleteMapping("/api/people/{id}/talk/{matterId}")
    Done withoutMatter(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable @Size(max = 320) String id,
            @PathVariable UUID matterId) {
        return notes.withoutMatter(me, commandId, lower(id), matterId);
    }

    private static String lower(String address) {
        return address.strip().toLowerCase(Locale.ROOT);
    }
}
