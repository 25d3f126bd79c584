package org.squallnote.server.phrase;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.phrase.PhraseStore;
import org.squallnote.store.phrase.SavedPhrase;

/** Settings › Phrases. */
@RestController
class PhraseController {

    private static final int MOST = 200;

    private final PhraseStore store;
    private final OwnerLocks locks;

    PhraseController(PhraseStore store, OwnerLocks locks) {
        this.store = store;
        this.locks = locks;
    }

    record PhraseView(UUID id, String name, String text) {}

    record PhraseForm(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(max = 8000) String text) {}

    @GetMapping("/api/phrases")
    List<PhraseView> all(@Me SignedIn me) {
        return store.of(me.accountId()).stream()
                .map(phrase -> new PhraseView(phrase.id(), phrase.name(), phrase.text()))
                .toList();
    }

    /** Makes one, or changes it. */
    @PutMapping("/api/phrases/{id}")
    List<PhraseView> save(@Me SignedIn me, @PathVariable UUID id, @Valid @RequestBody PhraseForm body) {
        SavedPhrase phrase = new SavedPhrase(id, me.accountId(), body.name().strip(), body.text());
        locks.write(me.accountId(), () -> {
            if (store.update(phrase) == 0) {
                if (store.of(me.accountId()).size() >= MOST) {
                    throw Refusal.invalid("There are " + MOST + " phrases already. Delete one to make room.");
                }
                store.insert(phrase);
            }
        });
        return all(me);
    }

    @DeleteMapping("/api/phrases/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@Me SignedIn me, @PathVariable UUID id) {
        int deleted = locks.write(me.accountId(), () -> store.delete(me.accountId(), id));
        if (deleted == 0) {
            throw Refusal.notFound("phrase");
        }
    }
}
