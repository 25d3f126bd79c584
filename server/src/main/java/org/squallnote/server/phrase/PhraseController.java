package org.squallnote.server.phrase;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Settings › Phrases. */
@RestController
class PhraseController {

    private final Phrases phrases;

    PhraseController(Phrases phrases) {
        this.phrases = phrases;
    }

    record PhraseView(UUID id, String name, String text) {}

    record PhraseForm(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(max = 8000) String text) {}

    @GetMapping("/api/phrases")
    List<PhraseView> all(@CurrentAccount SignedIn me) {
        return phrases.of(me.accountId()).stream()
                .map(phrase -> new PhraseView(phrase.id(), phrase.name(), phrase.text()))
                .toList();
    }

    /** Makes one, or changes it. */
    @PutMapping("/api/phrases/{id}")
    Done save(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody PhraseForm body) {
        return phrases.save(me, commandId, id, new Phrases.State(body.name().strip(), body.text()));
    }

    @DeleteMapping("/api/phrases/{id}")
    Done delete(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return phrases.delete(me, commandId, id);
    }
}
