package org.squallnote.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.Facet;
import org.squallnote.core.followup.FacetFilter;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** How the list of follow-ups stands, kept under names. */
@RestController
class ArrangementController {

    private final Arrangements arrangements;

    ArrangementController(Arrangements arrangements) {
        this.arrangements = arrangements;
    }

    /** One value of a facet. */
    record PartForm(
            @NotNull Facet facet,
            @NotNull @Size(max = 320) String key,
            @NotNull @Size(max = 320) String name) {}

    /**
     * An arrangement.
     *
     * @param letter the key that brings it back; empty for none
     */
    record ArrangementForm(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Pattern(regexp = "[a-z0-9]?") String letter,
            @NotNull Facet facet,
            boolean byHand,
            @NotNull @Size(max = FacetFilter.MOST) List<@Valid PartForm> only) {}

    /** An arrangement that is kept. */
    record ArrangementView(
            UUID id, String name, String letter, Facet facet, boolean byHand, List<FacetFilter.ChosenValue> only) {}

    @GetMapping("/api/arrangements")
    List<ArrangementView> all(@CurrentAccount SignedIn me) {
        return arrangements.of(me.accountId()).stream()
                .map(each -> new ArrangementView(
                        each.id(),
                        each.name(),
                        each.letter(),
                        each.facet(),
                        each.byHand(),
                        each.onlyThose().parts()))
                .toList();
    }

    /** Keeps one, or changes it. */
    @PutMapping("/api/arrangements/{id}")
    Done save(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody ArrangementForm body) {
        FacetFilter only = new FacetFilter(body.only().stream()
                .map(part -> new FacetFilter.ChosenValue(part.facet(), part.key(), part.name()))
                .toList());
        return arrangements.save(
                me,
                commandId,
                id,
                new Arrangements.State(body.name().strip(), body.letter(), body.facet(), body.byHand(), only));
    }

    @DeleteMapping("/api/arrangements/{id}")
    Done delete(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return arrangements.delete(me, commandId, id);
    }
}
